<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

/** What one student is to be spared at one meeting. */
final readonly class Spared
{
    /**
     * @param  list<Consideration>  $considerations  those that hold on the day, each once
     * @param  bool  $isCareful  careful tonight: smaller, and support near, everywhere
     * @param  bool  $isFirstTime  a first time counts as "smaller" everywhere
     */
    public function __construct(public array $considerations, public bool $isCareful = false, public bool $isFirstTime = false)
    {
    }

    /**
     * @param  list<StudentConsideration>  $noted
     * @param  string  $day  of the meeting, `Y-m-d`
     */
    public static function on(string $day, array $noted, bool $isCareful = false, bool $isFirstTime = false): self
    {
        $held = array_map(static fn (StudentConsideration $one): Consideration => $one->what, array_filter($noted, static fn (StudentConsideration $one): bool => $one->holdsOn($day)));
        $first = in_array(Consideration::FirstTime, $held, true);

        return new self(
            array_values(array_filter(Consideration::cases(), static fn (Consideration $one): bool => $one !== Consideration::FirstTime && in_array($one, $held, true))),
            $isCareful,
            $isFirstTime || $first,
        );
    }

    public function isNothing(): bool
    {
        return $this->considerations === [] && ! $this->isCareful && ! $this->isFirstTime;
    }

    public function has(Consideration $what): bool
    {
        return $what === Consideration::FirstTime ? $this->isFirstTime : in_array($what, $this->considerations, true);
    }

    /** @return list<Adaptation> in whatever is done, the strictest first */
    public function everywhere(): array
    {
        return match (true) {
            $this->isCareful => [Adaptation::Support, Adaptation::Smaller],
            $this->isFirstTime => [Adaptation::Smaller],
            default => [],
        };
    }

    /** @return list<Consideration> those of which the student is asked */
    public function asked(): array
    {
        return array_values(array_filter($this->considerations, static fn (Consideration $one): bool => $one->asks()));
    }
}
