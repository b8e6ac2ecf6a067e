<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Meeting;
use App\Models\PlanChange;
use App\Models\Term;
use App\Models\Viewer;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Changes the courses of a term: one more, another approach, share, target, showing or rhythm, one less. */
final class ChangeCourses
{
    public const MOST = 4;

    public function __construct(private readonly CurrentSchool $school, private readonly CutCourse $cut, private readonly PlanTerm $plan, private readonly TermSnapshot $snapshot, private readonly ReadTermDraft $draft, private readonly PlanViews $views)
    {
    }

    /** @param  array<string, mixed>  $is  columns of the course */
    public function add(Term $term, Form $form, array $is, Viewer $by): PlanChange
    {
        return $this->changed($term, $by, function (Term $term) use ($form, $is): void {
            $courses = $term->courses()->get();
            if ($courses->count() >= self::MOST) {
                throw Refused::because(Message::of('course.too_many', most: self::MOST));
            }
            if ($courses->contains('form_id', $form->id)) {
                throw Refused::because(Message::of('course.there', form: $form->title), 'form');
            }
            // The others give up, in their proportions, what the new one takes.
            $share = (float) $is['share'];
            foreach ($courses as $course) {
                $course->update(['share' => $course->share * (1 - $share)]);
            }
            $made = $term->courses()->create(['form_id' => $form->id, 'ordinal' => $courses->count() + 1, 'pins' => (object) [], 'cut' => ['lessons' => [], 'of_form' => $form->own_lessons !== null], ...$is]);
            $this->recut($made->setRelation('term', $term));
        });
    }

    /** @param  array<string, mixed>  $is  columns of the course; `turns` of its term */
    public function change(Course $course, array $is, Viewer $by, bool $recuts): PlanChange
    {
        return $this->changed($course->term, $by, function (Term $term) use ($course, $is, $recuts): void {
            if (array_key_exists('turns', $is)) {
                $term->update(['turns' => $is['turns']]);
                unset($is['turns']);
            }
            $course->update($is);
            if (isset($is['share'])) {
                $others = Course::where('term_id', $term->id)->whereKeyNot($course->id)->get();
                $sum = $others->sum('share');
                foreach ($others as $other) {
                    $other->update(['share' => $sum > 0 ? $other->share / $sum * (1 - (float) $is['share']) : 0.1]);
                }
            }
            if ($recuts) {
                $this->recut($course->refresh());
            }
        });
    }

    public function remove(Course $course, Viewer $by): PlanChange
    {
        return $this->changed($course->term, $by, function (Term $term) use ($course): void {
            $others = Course::where('term_id', $term->id)->whereKeyNot($course->id)->orderBy('ordinal')->get();
            if ($others->isEmpty()) {
                throw Refused::because(Message::of('course.last'));
            }
            $course->delete();
            $term->update(['turns' => null]); // they were turns with this one
            $sum = $others->sum('share');
            foreach ($others as $at => $other) {
                $other->update(['share' => $other->share / max(1e-9, $sum), 'ordinal' => $at + 1]);
            }
        });
    }

    private function recut(Course $course): void
    {
        $minutes = array_values(Meeting::where('term_id', $course->term_id)->where('state', '<>', 'cancelled')->pluck('minutes')->all());
        ($this->cut)($course, $course->form->placed(), $minutes);
    }

    /** @param  callable(Term): void  $work */
    private function changed(Term $term, Viewer $by, callable $work): PlanChange
    {
        if ($term->ends_on < $this->school->today()) {
            throw Refused::conflict(Message::of('term.over'));
        }
        $was = $this->views->of($term, ($this->draft)($term));
        $made = DB::transaction(function () use ($term, $by, $work): PlanChange {
            $locked = Term::lockForUpdate()->findOrFail($term->id);
            $before = $this->snapshot->of($locked);
            $work($locked);
            Term::whereKey($locked->id)->increment('plan_asked');
            $after = $this->snapshot->of($locked);

            return PlanChange::create([
                'term_id' => $locked->id, 'made_by' => $by->authorId(), 'plan' => $locked->plan_asked + 1,
                'touched' => json_encode(TermSnapshot::touched($before, $after), JSON_THROW_ON_ERROR),
                'cause' => json_encode(Message::of('cause.changed'), JSON_THROW_ON_ERROR), 'difference' => '[]',
                'before' => json_encode($before, JSON_THROW_ON_ERROR), 'after' => json_encode($after, JSON_THROW_ON_ERROR),
            ]);
        });
        ($this->plan)(Term::findOrFail($term->id), $made, $was);

        return $made->refresh();
    }
}
