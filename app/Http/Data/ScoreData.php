<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Form as FormRow;
use App\Models\PlacedForm;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\File\EntryCells;
use Gorvan\Core\Form\File\FormFileWriter;
use OpenApi\Attributes as OA;
use stdClass;

/** A form as the editor has it. */
#[OA\Schema]
final readonly class ScoreData
{
    /**
     * @param  list<string>  $columns
     * @param  list<ScoreRow>  $rows
     */
    public function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public stdClass $head,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $columns,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ScoreRow::class))]
        public array $rows,
        #[OA\Property]
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
