<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Form as FormRow;
use App\Models\PlacedForm;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\File\EntryCells;
use Gorvan\Core\Form\File\FormFileWriter;
use stdClass;

/** A form as the editor has it. */
final readonly class ScoreData
{
    /**
     * @param  list<string>  $columns
     * @param  list<ScoreRow>  $rows
     */
    public function __construct(
        public int $version,
        public stdClass $head,
        public array $columns,
        public array $rows,
        public AuditData $audit,
    ) {
    }

    public static function saved(FormRow $row, ?PlacedForm $placed = null): self
    {
        $form = ($placed ?? $row->placed())->form;
        $cells = new EntryCells;
        $writer = new FormFileWriter;

        return new self(
            $row->version,
            $writer->root($form),
            EntryCells::columns(),
            array_map(static fn (Entry $entry): ScoreRow => new ScoreRow($entry->id, $cells->of($entry), $writer->entry($entry)), $form->entries),
            AuditData::of($form),
        );
    }
}
