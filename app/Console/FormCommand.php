<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\ReadForm;
use Gorvan\Core\Form\Export;
use Symfony\Component\Console\Output\OutputInterface;

/** Writes a form in another format (docs/formats/commands.md). */
final class FormCommand extends FileCommand
{
    protected $signature = 'gorvan:form
        {file? : A form file, a CSV file or a plain list}
        {--to= : json, csv or list}';

    protected $description = 'Write a form as a form file, as CSV or as a plain list';

    protected function answer(string $text, string $file): int
    {
        $to = Export::tryFrom((string) $this->text('to'));
        if ($to === null) {
            return $this->wrong('--to: must be json, csv or list');
        }
        $read = (new ReadForm)($text, pathinfo($file, PATHINFO_FILENAME));
        $written = $to->write($read->form);
        $this->warningsBeside([
            ...$read->warnings,
            ...array_map(static fn ($kin): string => $kin->sentence(), $read->inferred),
            ...array_map(static fn (string $loss): string => "$to->value does not carry $loss", $to->losses($read->form)),
        ]);
        $this->getOutput()->write($written, false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
