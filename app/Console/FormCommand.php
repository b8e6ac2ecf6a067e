<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\ReadForm;
use App\Words;
use Gorvan\Core\Form\Change\Losses;
use Gorvan\Core\Form\File\Export;
use Gorvan\Core\Form\Kinship;
use Gorvan\Core\Reading\Message;
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
            return $this->wrong(Words::of(Message::of('cli.to')));
        }
        $read = (new ReadForm)($text, pathinfo($file, PATHINFO_FILENAME));
        $written = $to->write($read->form);
        $this->warningsBeside([
            ...$read->warnings,
            ...array_map(static fn (Kinship $kin): Message => $kin->said(), $read->inferred),
            ...array_map(static fn (Message $loss): Message => Message::of('loss.of', format: $to->value, loss: $loss), Losses::of($read->form, $to)),
        ]);
        $this->getOutput()->write($written, false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
