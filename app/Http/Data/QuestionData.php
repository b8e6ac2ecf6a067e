<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\PlanQuestion;
use App\Models\QuestionKind;
use App\Models\QuestionState;

/** Something that was asked about a plan, and how far the answer is. */
final readonly class QuestionData
{
    public function __construct(
        public string $id,
        public QuestionKind $kind,
        public object $question,
        public QuestionState $state,
        public int $progress,
        public bool $isOld,
        public ?object $answer,
    ) {
    }

    public static function of(PlanQuestion $row, int $plan): self
    {
        return new self($row->id, $row->kind, (object) $row->question, $row->state, $row->progress, $row->plan < $plan, $row->answer === null ? null : json_decode($row->answer, false, 64, JSON_THROW_ON_ERROR));
    }
}
