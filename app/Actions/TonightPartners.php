<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\KeptLesson;
use App\Models\Meeting;
use App\Models\PlacedForm;
use Gorvan\Core\Care\Spared;
use Gorvan\Core\Lesson\Content\PartnerDrill;

/** The partner drills a class can do: those of its own lessons, and of its form's, whose entry it has met or meets tonight. */
final class TonightPartners
{
    public function __construct(private readonly TaughtEntries $taught, private readonly CurrentSchool $school, private readonly ReadCare $care)
    {
    }

    /**
     * @param  array<string, array{PlacedForm, list<string>}>  $read  form and entries that were met by course, where they are read already
     * @return list<TonightPartner> those of tonight's lessons first, then the latest in the form
     */
    public function __invoke(Meeting $meeting, array $read = []): array
    {
        $found = [];
        foreach ($meeting->term->loadMissing('courses.form')->courses as $course) {
            $lessons = $this->lessonsOf($course);
            // Most courses have no partner work, and then their form is not read for it.
            if ($lessons === []) {
                continue;
            }
            [$placed, $met] = $read[$course->id] ?? $this->read($meeting, $course);
            $tonight = $meeting->planned()?->course($course->id)?->entries() ?? [];
            foreach ($lessons as $row) {
                $drill = $row->written()->partner;
                $position = $drill === null ? null : $placed->form->positionOf($drill->entry);
                if ($drill !== null && $position !== null && in_array($drill->entry, [...$met, ...$tonight], true)) {
                    $found[] = new TonightPartner($row, $course, $drill, $position, in_array($drill->entry, $tonight, true));
                }
            }
        }
        usort($found, static fn (TonightPartner $a, TonightPartner $b): int => [$b->isTonight, $b->position] <=> [$a->isTonight, $a->position]);

        return $found;
    }

    /** @return array{PlacedForm, list<string>} */
    private function read(Meeting $meeting, Course $course): array
    {
        $placed = $course->form->placed();

        return [$placed, array_map(static fn (int $position): string => $placed->form->at($position)->id, $this->taught->by($meeting->term->group_id, $placed, $this->school->today()))];
    }

    /**
     * Who does not take part in a drill, whatever the reason: it is not told here.
     *
     * @param  array<string, Spared>  $spared  by student, {@see ReadCare::spared()}
     * @return list<string> ids
     */
    public function aside(PartnerDrill $drill, array $spared): array
    {
        return array_map(strval(...), array_keys(array_filter($spared, static fn (Spared $one): bool => ! $drill->isFor($one))));
    }

    /** @return array<string, Spared> by student */
    public function spared(Meeting $meeting): array
    {
        return $this->care->spared($meeting);
    }

    /** @return list<KeptLesson> those with a drill for two */
    private function lessonsOf(Course $course): array
    {
        return KeptLesson::of($course, static fn ($lessons) => $lessons->with('steps')->whereRaw("document::jsonb -> 'partner' is not null"));
    }
}
