<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Term;
use Gorvan\Core\Lesson\Lesson;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\TermDates;
use Gorvan\Core\Term\TermReader;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;

/** Lays courses over a term of weekly meetings. */
final class LayTerm
{
    public function __construct(private readonly CurrentSchool $school, private readonly PlanTerm $plan, private readonly CutCourse $cut, private readonly LessonCutter $cutter, private readonly TaughtEntries $taught, private readonly PacedCourse $paced, private readonly CarryLessons $carry)
    {
    }

    /**
     * The meetings a term would have, without saving.
     *
     * @param  array<mixed>  $term  `from`, `to`, `pattern`, `closures` as in the term file, in the school's zone
     *
     * @throws Refused at its place in the term file
     */
    public function dates(array $term): TermDates
    {
        $zoned = [...Arr::only($term, ['from', 'to', 'pattern', 'closures']), 'timezone' => $this->school->get()->timezone];
        try {
            $dates = TermDates::of((new TermReader)->read(json_encode($zoned, JSON_THROW_ON_ERROR)));
        } catch (BadInput $e) {
            // A teacher fills in a page and no file: the sentence says it, the place is for the page.
            throw Refused::because($e->reason, $e->place);
        }
        $most = config('gorvan.limits.meetings');
        if (count($dates->meetings) > $most) {
            throw Refused::because(Message::of('term.too_many', meetings: count($dates->meetings), most: $most), '$.to');
        }

        return $dates;
    }

    /**
     * @param  array<mixed>  $term
     * @param  non-empty-list<NewCourse>  $courses  in their order
     * @param  Term|null  $after  the term it follows: what was written for its lessons is taken along
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible and nothing is laid
     */
    public function __invoke(Group $group, string $title, array $term, array $courses, ?Term $after = null): Term
    {
        $dates = $this->dates($term);
        foreach ($courses as $course) {
            if ($course->showing !== null && ($course->showing->on < $term['from'] || $course->showing->on > $term['to'])) {
                throw Refused::because(Message::of('contradiction.showing_outside', on: $course->showing->on, from: $term['from'], to: $term['to']), 'showing');
            }
        }
        $row = DB::transaction(function () use ($group, $title, $term, $courses, $dates, $after): Term {
            $row = Term::create([
                'group_id' => $group->id,
                'title' => $title,
                'starts_on' => $term['from'],
                'ends_on' => $term['to'],
                'pattern' => $term['pattern'],
                'closures' => $term['closures'] ?? [],
                'warnings' => '[]',
            ]);
            foreach ($dates->meetings as $date) {
                $row->meetings()->create(['on' => $date->on, 'starts_at' => $date->starts, 'minutes' => $date->minutes]);
            }
            foreach ($courses as $at => $course) {
                $made = $row->courses()->create([
                    'form_id' => $course->form->id,
                    'ordinal' => $at + 1,
                    'first_entry' => $course->firstEntry,
                    'last_entry' => $course->lastEntry,
                    'approach' => $course->approach,
                    'share' => $course->share,
                    'lesson_load' => $course->lessonLoad,
                    'lesson_count' => $course->lessonCount,
                    'pins' => (object) [],
                    'showing' => $course->showing === null ? null : json_encode($course->showing->toData(), JSON_THROW_ON_ERROR),
                    ...$course->taught(),
                ]);
                ($this->cut)($made->setRelation('term', $row), $course->form->placed(), $dates->minutes());
            }

            if ($after !== null) {
                ($this->carry)($after, $row);
            }

            return $row;
        });
        // The plan stands on the first screen, so it is not left to the worker; it holds nothing while it computes.
        ($this->plan)($row->refresh());

        return $row->refresh();
    }

    /**
     * How many lessons a group has left of a course, without saving.
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function lessons(Group $group, NewCourse $new, TermDates $dates): int
    {
        $placed = $new->form->placed();
        $row = new Course(['first_entry' => $new->firstEntry, 'last_entry' => $new->lastEntry, 'approach' => $new->approach, 'share' => $new->share, 'lesson_load' => $new->lessonLoad, 'lesson_count' => $new->lessonCount, 'pins' => [], ...$new->taught()]);
        $row->id = 'new';
        $course = $row->course($placed);

        $taught = array_fill_keys($this->taught->by($group->id, $placed, $this->school->today()), true);
        $isLeft = static fn (Lesson $lesson): bool => array_filter(range($lesson->from, $lesson->to), static fn (int $at): bool => $placed->form->at($at)->kind->countsInForm() && ! isset($taught[$at])) !== [];

        return count(array_filter($this->paced->paced($group, $placed, $course, $this->cutter->kept($placed->form, $course->scope(array_keys($taught)), []))->cut($this->cutter, $dates->minutes(), array_keys($taught))->lessons, $isLeft));
    }
}
