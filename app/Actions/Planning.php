<?php

declare(strict_types=1);

namespace App\Actions;

use Gorvan\Core\Term\Change\DraftMeeting;
use Gorvan\Core\Term\Change\TermDraft;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\FocusOutset;
use Gorvan\Core\Term\TermMeeting;
use Gorvan\Core\Term\TermRequest;
use Gorvan\Core\Term\WarmUpOutset;

/** What a plan of a term is computed from: where its courses stand, and the term, as it is or as it is being changed. */
final readonly class Planning
{
    /**
     * @param  non-empty-list<CourseOutset>  $courses
     * @param  list<int>  $turns  whose evening it is, by place in the courses; none where all share each evening
     */
    public function __construct(public string $seed, public array $courses, public TermDraft $draft, public ?FocusOutset $focus = null, public ?WarmUpOutset $warmUps = null, public array $turns = [])
    {
    }

    public function of(TermDraft $draft): self
    {
        return new self($this->seed, $this->courses, $draft, $this->focus, $this->warmUps, $this->turns);
    }

    /** @param  callable(DraftMeeting): bool|null  $isOpen  which are planned; those that are still to come, unless said */
    public function request(?callable $isOpen = null): TermRequest
    {
        $taking = $this->draft->taking();
        $meetings = [];
        foreach ($taking as $at => $meeting) {
            $meetings[] = new TermMeeting($meeting->on, $meeting->minutes, $isOpen === null ? $meeting->isOpen : $isOpen($meeting), $meeting->pins, TermMeeting::keyOf($meeting->on, $meeting->at, ($taking[$at - 1]->on ?? null) === $meeting->on));
        }

        $courses = array_map(fn (CourseOutset $outset): CourseOutset => $outset->with(['course' => $this->draft->holds($outset->course)]), $this->courses);

        return new TermRequest($this->seed, $meetings, $courses, $this->focus, $this->warmUps, array_values(array_filter($this->turns, fn (int $of): bool => isset($this->courses[$of]))));
    }

    /** @return list<string> the meetings of a request, in its order */
    public function ids(): array
    {
        return array_map(static fn (DraftMeeting $meeting): string => $meeting->id, $this->draft->taking());
    }
}
