<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** A meeting as the planner sees it. */
final readonly class TermMeeting
{
    /**
     * @param  string  $on  day `Y-m-d`
     * @param  bool  $isOpen  to be planned now; what is not open stays as it was
     * @param  string|null  $key  what its draws go by (engine 9): the day, from the second meeting of a day on with its time
     */
    public function __construct(
        public string $on,
        public int $minutes,
        public bool $isOpen = true,
        public MeetingPins $pins = new MeetingPins,
        public ?string $key = null,
    ) {
    }

    /** The same, with other things fixed of it. */
    public function pinned(MeetingPins $pins): self
    {
        return new self($this->on, $this->minutes, $this->isOpen, $pins, $this->key);
    }

    /** The same, of another length. @param  int  $minutes  more, or, below 0, less */
    public function longer(int $minutes): self
    {
        return new self($this->on, max(1, $this->minutes + $minutes), $this->isOpen, $this->pins, $this->key);
    }

    /** What the draws of a meeting go by (engine 9). @param  string  $at  local time `HH:MM` */
    public static function keyOf(string $on, string $at, bool $isSecondOfDay): string
    {
        return $isSecondOfDay ? "$on $at" : $on;
    }
}
