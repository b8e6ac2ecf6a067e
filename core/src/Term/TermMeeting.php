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

    /** What the draws of a meeting go by (engine 9). @param  string  $at  local time `HH:MM` */
    public static function keyOf(string $on, string $at, bool $isSecondOfDay): string
    {
        return $isSecondOfDay ? "$on $at" : $on;
    }
}
