<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\PlanQuestion;
use OpenApi\Attributes as OA;

/** Something that was asked about a plan, and how far the answer is. */
#[OA\Schema]
final readonly class QuestionData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(enum: ['costs', 'furthest', 'meetings', 'minutes', 'pace', 'compare', 'places'])]
        public string $kind,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $question,
        #[OA\Property(enum: ['waiting', 'running', 'done', 'failed'])]
        public string $state,
        #[OA\Property]
        public int $progress,
        #[OA\Property]
        public bool $isOld,
        #[OA\Property(type: 'object', additionalProperties: true, nullable: true)]
        public ?object $answer,
    ) {
    }

    public static function of(PlanQuestion $row, int $plan): self
    {
        return new self($row->id, $row->kind->value, (object) $row->question, $row->state->value, $row->progress, $row->plan < $plan, $row->answer === null ? null : json_decode($row->answer, false, 64, JSON_THROW_ON_ERROR));
    }
}
