<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Term\BoxesTooLong;
use Gorvan\Core\Term\MeetingPins;
use Gorvan\Core\Term\MeetingState;

/** A meeting of a term that is being changed: day `Y-m-d`, local time `HH:MM`, minutes, and what the teacher fixed of it. */
final readonly class DraftMeeting
{
    /**
     * @param  bool  $isOpen  still to come, and not logged: only such a one can be changed
     * @param  string|null  $reason  why it was moved, cancelled, added or is of another length
     */
    public function __construct(
        public string $id,
        public string $on,
        public string $at,
        public int $minutes,
        public bool $isOpen = true,
        public MeetingState $state = MeetingState::Laid,
        public ?string $reason = null,
        public ?string $room = null,
        public MeetingPins $pins = new MeetingPins,
    ) {
    }

    /**
     * The same, when the boxes with minutes of their own fit into it.
     *
     * @throws BoxesTooLong
     */
    public function fitting(): self
    {
        $fixed = array_sum($this->pins->boxes);

        return $fixed <= $this->minutes ? $this : throw BoxesTooLong::fixed($this->minutes, $fixed);
    }

    /**
     * The same with some properties changed. Pure.
     *
     * @param  array<string, mixed>  $changes
     */
    public function with(array $changes): self
    {
        return new self(...[...get_object_vars($this), ...$changes]); // @phpstan-ignore argument.type
    }

    /** @param  array<string, mixed>  $changes  by the names of {@see MeetingPins} */
    public function pinned(array $changes): self
    {
        return $this->with(['pins' => $this->pins->with($changes)]);
    }
}
