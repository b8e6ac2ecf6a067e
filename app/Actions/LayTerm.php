<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Group;
use App\Models\Term;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\CutScope;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\OwnLessons;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Course as CoreCourse;
use Gorvan\Core\Term\TermDates;
use Gorvan\Core\Term\TermReader;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;

/** Lays courses over a term of weekly meetings. */
final class LayTerm
{
    public function __construct(private readonly CurrentSchool $school, private readonly PlanTerm $plan, private readonly CutCourse $cut, private readonly LessonCutter $cutter, private readonly TaughtEntries $taught, private readonly PacedCourse $paced, private readonly CarryLessons $carry, private readonly KeepOwnLessons $own)
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
            // Before anything refers to them: the first to lay a form gives it its lessons, and two who do so wait for each other.
            $forms = Form::whereKey(array_map(static fn (NewCourse $course): string => $course->form->id, $courses))->orderBy('id')->lockForUpdate()->get()->keyBy('id');
            $row = Term::create([
                'group_id' => $group->id,
                'title' => $title,
                'starts_on' => $term['from'],
                'ends_on' => $term['to'],
                'pattern' => $term['pattern'],
                'closures' => $term['closures'] ?? [],
                'warnings' => '[]',
                // Forms that took turns go on taking them.
                'turns' => $after !== null && $after->courses()->orderBy('ordinal')->pluck('form_id')->all() === array_map(static fn (NewCourse $course): string => $course->form->id, $courses) ? $after->turns : null,
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
                $this->cut($made->setRelation('term', $row), $forms[$course->form->id], $dates->minutes());
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
     * Gives a course its lessons. Where its form has none of its own yet, these become the form's, and the rest of it is cut alike.
     *
     * @param  list<int>  $minutes
     */
    private function cut(Course $made, Form $form, array $minutes): void
    {
        $placed = $form->placed();
        ($this->cut)($made, $placed, $minutes);
        if ($placed->form->lessons !== [] || $made->lessons() === []) {
            return;
        }
        $cut = $made->kept($this->cutter, $placed, $this->paced->learned($made, $placed));
        $own = [];
        foreach ([[1, $cut->passage->from - 1], [$cut->passage->to + 1, $placed->form->count()]] as $at => [$from, $to]) {
            $rest = $from > $to ? [] : $this->cutter->cut($placed->form, $cut->target, scope: new CutScope(new Passage($from, $to)))->lessons;
            array_push($own, ...$rest, ...($at === 0 ? $cut->lessons : []));
            $first = $at === 0 ? count($rest) + 1 : $first ?? 1;
        }
        ($this->own)($form, OwnLessons::kept($placed->form, $own));
        $made->update(['cut' => ['lessons' => $made->lessons(), 'first' => $first, 'of_form' => true]]);
    }

    /**
     * How many lessons a group has left of a course, without saving: of its form's own as they are, and if it is cut to this class.
     *
     * @return array{int|null, int} null where the form has none of its own, or they are not for this approach
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function lessons(Group $group, NewCourse $new, TermDates $dates): array
    {
        $placed = $new->form->placed();
        $row = new Course(['first_entry' => $new->firstEntry, 'last_entry' => $new->lastEntry, 'approach' => $new->approach, 'share' => $new->share, 'lesson_load' => $new->lessonLoad, 'lesson_count' => $new->lessonCount, 'pins' => [], ...$new->taught()]);
        $row->id = 'new';
        $learned = $this->taught->by($group->id, $placed, $this->school->today());
        $course = $this->paced->paced($group, $placed, $row->course($placed), $row->kept($this->cutter, $placed, $learned));
        $taught = array_fill_keys($learned, true);
        $left = fn (CoreCourse $of): int => count($of->cut($this->cutter, $dates->minutes(), $learned)->left($placed->form, $taught));
        $taking = $course->with(['takesLessons' => true]);

        return [$taking->taken() === [] ? null : $left($taking), $left($course->with(['takesLessons' => false]))];
    }
}
