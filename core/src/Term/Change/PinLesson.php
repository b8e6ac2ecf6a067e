<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** A lesson is given at a meeting, or, without one, where the plan has it. */
final readonly class PinLesson implements TermChange
{
    public function __construct(public string $course, public int $number, public ?string $meeting)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        $draft = $this->released($draft);
        if ($this->meeting === null) {
            return $draft;
        }
        $meeting = $draft->meeting($this->meeting);
        if (! $meeting->state->takesPlace()) {
            throw ChangeRefused::takesNoPlace($meeting->on);
        }
        $there = $meeting->pins->lessons[$this->course] ?? null;
        if ($there !== null) {
            throw ChangeRefused::twoLessons($meeting->on, $this->number, $there);
        }
        $isBefore = true;
        foreach ($draft->taking() as $other) {
            $isBefore = $isBefore && $other->id !== $meeting->id;
            $number = $other->pins->lessons[$this->course] ?? null;
            if ($number === null || ! $other->isOpen) {
                continue;
            }
            if ($isBefore && $number > $this->number) {
                throw ChangeRefused::tooLate($this->number, $number, $other->on);
            }
            if (! $isBefore && $number < $this->number) {
                throw ChangeRefused::tooEarly($this->number, $number, $meeting->on, self::after($draft, $other));
            }
        }

        return $draft->put($meeting->pinned(['lessons' => [...$meeting->pins->lessons, $this->course => $this->number], 'nothingNew' => false]));
    }

    private function released(TermDraft $draft): TermDraft
    {
        foreach ($draft->meetings as $meeting) {
            if ($meeting->isOpen && ($meeting->pins->lessons[$this->course] ?? null) === $this->number) {
                $draft = $draft->put($meeting->pinned(['lessons' => array_diff_key($meeting->pins->lessons, [$this->course => true])]));
            }
        }

        return $draft;
    }

    /** The day of the meeting after another, or its own where it is the last. */
    private static function after(TermDraft $draft, DraftMeeting $meeting): string
    {
        foreach ($draft->taking() as $other) {
            if ([$other->on, $other->at] > [$meeting->on, $meeting->at]) {
                return $other->on;
            }
        }

        return $meeting->on;
    }
}
