<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Form as FormRow;
use Gorvan\Core\Reading\Message;

/** A form after a change: as the editor has it, and as it is cut now. */
final readonly class EditedData
{
    public function __construct(
        public ScoreData $score,
        public FormData $form,
    ) {
    }

    /**
     * @param  list<Message>  $moved  what the change moved in running terms
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public static function saved(FormRow $row, array $moved): self
    {
        $placed = $row->placed();

        return new self(ScoreData::saved($row, $placed), FormData::saved($row, $placed, $moved));
    }
}
