<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Time;

use Gorvan\Core\Form\Form;

/** How long a form takes at every pace, as a whole and section by section (engine 14). */
final readonly class RunThrough
{
    private RunTime $time;

    public function __construct(private Form $form)
    {
        $this->time = new RunTime($form);
    }

    public function whole(): Stretch
    {
        return $this->stretch($this->form->title, 1, $this->form->count());
    }

    /** @return list<Stretch> the sections in order, and what stands before, between and after them; none without sections */
    public function bySection(): array
    {
        $stretches = [];
        $next = 1;
        foreach ($this->form->sections as $section) {
            if ($section->first > $next) {
                $stretches[] = $this->stretch(null, $next, $section->first - 1);
            }
            $stretches[] = $this->stretch($section->title, $section->first, $section->last);
            $next = $section->last + 1;
        }
        if ($stretches !== [] && $next <= $this->form->count()) {
            $stretches[] = $this->stretch(null, $next, $this->form->count());
        }

        return $stretches;
    }

    private function stretch(?string $title, int $from, int $to): Stretch
    {
        $counted = array_filter(range($from, $to), fn (int $position): bool => $this->form->at($position)->kind->countsInForm());
        $atClass = $this->time->secondsBetween($from, $to);
        $seconds = [];
        foreach (Pace::cases() as $pace) {
            $seconds[$pace->value] = $atClass * $pace->factor($this->form);
        }

        return new Stretch(
            $title,
            $from,
            $to,
            $seconds,
            count(array_filter($counted, $this->time->isAssumed(...))),
            count(array_filter($counted, fn (int $position): bool => $this->time->secondsOf($position) === null)),
        );
    }
}
