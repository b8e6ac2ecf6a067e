<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Models\QuestionKind;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** What is asked about the plan of a term. */
final readonly class TermQuestion implements Sent
{
    /** @param  list<ComparedPlan>|null  $plans */
    public function __construct(
        #[Rules('in:furthest,meetings,minutes,pace,compare,places')]
        public QuestionKind $kind,
        #[Rules('uuid')]
        public ?string $course = null,
        #[Rules('required_if:kind,places', 'min:1', 'max:600')]
        public ?int $number = null,
        #[Rules('required_if:kind,compare', 'min:1', 'max:3')]
        public ?array $plans = null,
    ) {
    }

    /** @return array<string, mixed> what is said besides its kind */
    public function question(): array
    {
        $said = static fn (array $of): array => array_filter($of, static fn (mixed $one): bool => $one !== null);
        $plans = $this->plans === null ? null : array_map(static fn (ComparedPlan $one): array => $said([...get_object_vars($one), 'approach' => $one->approach?->value]), $this->plans);

        return $said(['course' => $this->course, 'number' => $this->number, 'plans' => $plans]);
    }
}
