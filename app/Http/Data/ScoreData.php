<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Form as FormRow;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\File\EntryCells;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Reading\Message;
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
        #[OA\Property]
        public FormData $form,
    ) {
    }

    /**
     * @param  list<Message>  $moved  what a change moved in running terms
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public static function saved(FormRow $row, array $moved = []): self
    {
        $placed = $row->placed();
        $form = $placed->form;
        $cells = new EntryCells;
        $writer = new FormFileWriter;

        return new self(
            $row->version,
            $writer->root($form),
            EntryCells::columns(),
            array_map(static fn (Entry $entry): ScoreRow => new ScoreRow($entry->id, $cells->of($entry), $writer->entry($entry)), $form->entries),
            AuditData::of($form),
            FormData::saved($row, $placed, $moved),
        );
    }
}
