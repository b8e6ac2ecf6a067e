<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Time;

/** A stretch of a form and how long it takes. */
final readonly class Stretch
{
    /**
     * @param  string|null  $title  of the section or the form, null for what stands between sections
     * @param  array<string, float>  $seconds  by the value of each {@see Pace}
     * @param  int  $assumed  entries whose breaths are our default
     * @param  int  $untilTold  entries without a duration, which add none
     */
    public function __construct(public ?string $title, public int $from, public int $to, public array $seconds, public int $assumed, public int $untilTold)
    {
    }

    public function at(Pace $pace): float
    {
        return $this->seconds[$pace->value];
    }
}
