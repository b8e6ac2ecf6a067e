<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\ReadForm;
use App\Words;
use Gorvan\Core\Form\Audit\Finding;
use Gorvan\Core\Form\Audit\FormAudit;

/** Checks a form like a score (docs/formats/commands.md). */
final class AuditCommand extends FileCommand
{
    protected $signature = 'gorvan:audit
        {file? : A form file, a CSV file or a plain list}
        {--json : Print JSON}';

    protected $description = 'Find what does not add up in a form';

    protected function answer(string $text, string $file): int
    {
        $read = (new ReadForm)->asItIs($text, pathinfo($file, PATHINFO_FILENAME));
        $audit = FormAudit::of($read->form);
        $totals = get_object_vars($audit->totals);
        if ($this->option('json')) {
            return $this->json(['findings' => array_map(static fn (Finding $finding): array => [
                'code' => $finding->code->value,
                'position' => $finding->position,
                'severity' => $finding->severity->value,
                'message' => Words::of($finding->says),
                'mend' => $finding->mend === null ? null : Words::of($finding->mend->says),
            ], $audit->open), 'totals' => $totals]);
        }
        $this->line("{$read->form->title}: ".implode(', ', array_map(
            static fn (string $name, mixed $value): string => "$name ".(is_array($value) ? implode('; ', $value) : (string) $value),
            array_keys($totals),
            $totals,
        )));
        $this->table(['At', 'What', 'Finding', 'Mend'], array_map(static fn (Finding $finding): array => [
            $finding->position ?? '', $finding->code->value, Words::of($finding->says), $finding->mend === null ? '' : Words::of($finding->mend->says),
        ], $audit->open));
        $this->warnings($read->warnings);

        return self::SUCCESS;
    }
}
