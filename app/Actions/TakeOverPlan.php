<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\PlanChange;
use App\Models\PlanQuestion;
use App\Models\QuestionKind;
use App\Models\QuestionState;
use App\Models\Term;
use App\Models\Viewer;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Change\AddMeeting;
use Gorvan\Core\Term\Change\CancelMeeting;
use Gorvan\Core\Term\Change\ChangeMinutes;
use Gorvan\Core\Term\Change\DraftMeeting;
use Gorvan\Core\Term\Change\PlanDifference;
use Gorvan\Core\Term\Change\PlanVariant;
use Gorvan\Core\Term\Change\PlanView;
use Gorvan\Core\Term\Change\TermDraft;
use Gorvan\Core\Term\MeetingState;
use Gorvan\Core\Term\SaidPace;
use Gorvan\Core\Term\Showing;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Makes the answer to a question the plan: the meetings, the minutes, the target or the approach it found. */
final class TakeOverPlan
{
    public function __construct(private readonly ChangeTerm $change, private readonly ChangeCourses $courses, private readonly ReadTermDraft $draft, private readonly PlanViews $views)
    {
    }

    /** @param  int  $at  which of the plans that were compared */
    public function __invoke(PlanQuestion $question, int $at, Viewer $by): PlanChange
    {
        $term = $question->term;
        if ($question->state !== QuestionState::Done || $question->plan !== $term->plan_asked) {
            throw Refused::conflict(Message::of('question.old'));
        }
        $answer = json_decode((string) $question->answer, true, 64, JSON_THROW_ON_ERROR);
        $variant = match ($question->kind) {
            QuestionKind::Furthest => new PlanVariant(to: $answer['to'] ?? throw Refused::because(Message::of('question.nothing'))),
            QuestionKind::Meetings => new PlanVariant(extra: count($answer['days'] ?? throw Refused::because(Message::of('question.nothing')))),
            QuestionKind::Minutes => new PlanVariant(minutes: $answer['minutes'] ?? throw Refused::because(Message::of('question.nothing'))),
            QuestionKind::Pace => new PlanVariant(pace: SaidPace::movements((float) ($answer['movements'] ?? throw Refused::because(Message::of('question.nothing'))))),
            QuestionKind::Compare => PlanVariant::list($question->question['plans'] ?? [])[$at] ?? throw Refused::because(Message::of('question.nothing')),
            default => throw Refused::because(Message::of('question.nothing')),
        };

        return $this->taken($term, $this->course($question), $variant, $by);
    }

    private function taken(Term $term, Course $course, PlanVariant $variant, Viewer $by): PlanChange
    {
        $draft = ($this->draft)($term);
        $was = $this->views->of($term, $draft);
        $changes = $this->meetings($draft, $variant);
        $first = $changes === [] ? null : ($this->change)($term, $changes, $term->plan_asked, $by, Message::of('cause.taken_over'));
        $is = array_filter([
            'approach' => $variant->approach !== null && $variant->approach !== $course->approach ? $variant->approach->value : null,
            'last_entry' => $variant->to === null ? null : $this->entry($course, $variant->to),
            // What is shown goes no further than what is aimed at.
            'showing' => $variant->to === null ? null : $this->showing($course, $variant->to),
            'pace' => Course::paceColumn($variant->pace),
        ]);
        if ($variant->pace !== null) {
            // A pace stands instead of a size that was asked for.
            $is += ['lesson_load' => null, 'lesson_count' => null, 'lesson_minutes' => null, 'load_minutes' => null];
        }
        if ($variant->spread !== null && $variant->spread !== $course->spread) {
            $is['spread'] = $variant->spread;
        }
        $second = $is === [] ? null : $this->courses->change($course->refresh(), $is, $by, isset($is['approach']) || isset($is['last_entry']));

        return $this->asOne($term, $was, ...array_values(array_filter([$first, $second])));
    }

    /** What was taken over is told and taken back as one change, whatever it took. */
    private function asOne(Term $term, PlanView $was, PlanChange ...$made): PlanChange
    {
        if ($made === []) {
            throw Refused::because(Message::of('question.same'));
        }
        $last = $made[count($made) - 1];
        $term = $term->refresh();
        $touched = array_merge(...array_map(static fn (PlanChange $one): array => json_decode($one->touched, true, 8, JSON_THROW_ON_ERROR), $made));
        DB::transaction(function () use ($term, $was, $made, $last, $touched): void {
            $last->update([
                'before' => $made[0]->before,
                'touched' => json_encode(array_values(array_unique($touched)), JSON_THROW_ON_ERROR),
                'cause' => json_encode(Message::of('cause.taken_over'), JSON_THROW_ON_ERROR),
                'difference' => json_encode(PlanDifference::between($was, $this->views->of($term, ($this->draft)($term)), $this->views->titles($term)), JSON_THROW_ON_ERROR),
            ]);
            PlanChange::whereKey(array_map(static fn (PlanChange $one): string => $one->id, array_slice($made, 0, -1)))->delete();
        });

        return $last->refresh();
    }

    private function entry(Course $course, int $to): string
    {
        $form = $course->form->placed()->form;

        return $form->at(min($to, $form->count()))->id;
    }

    private function showing(Course $course, int $to): ?string
    {
        $showing = $course->showing === null ? null : Showing::read(JsonNode::parse($course->showing));
        $is = $showing === null ? null : $course->form->placed()->form->positionOf($showing->to);

        return $showing === null || ($is !== null && $is <= $to) ? null : json_encode((new Showing($showing->on, $this->entry($course, $to)))->toData(), JSON_THROW_ON_ERROR);
    }

    private function course(PlanQuestion $question): Course
    {
        $rows = $question->term->courses()->get();

        return $rows->firstWhere('id', $question->question['course'] ?? null) ?? $rows->firstOrFail();
    }

    /** @return list<AddMeeting|ChangeMinutes|CancelMeeting> */
    private function meetings(TermDraft $draft, PlanVariant $variant): array
    {
        $changes = [];
        foreach ($variant->minutes === 0 ? [] : $draft->taking() as $meeting) {
            if ($meeting->isOpen) {
                $changes[] = new ChangeMinutes($meeting->id, $meeting->minutes + $variant->minutes);
            }
        }
        $next = array_values(array_filter($draft->taking(), static fn (DraftMeeting $meeting): bool => $meeting->isOpen));
        foreach (array_slice($next, 0, $variant->lost) as $meeting) {
            $changes[] = new CancelMeeting($meeting->id, null);
        }
        for ($more = 0; $more < $variant->extra; $more++) {
            $day = $draft->widestGap();
            $like = array_values(array_filter($draft->taking(), static fn (DraftMeeting $one): bool => $one->isOpen))[0] ?? null;
            if ($day === null || $like === null) {
                break;
            }
            $id = (string) Str::uuid7();
            $draft = $draft->put(new DraftMeeting($id, $day, $like->at, $like->minutes, true, MeetingState::Added));
            $changes[] = new AddMeeting($id, $day, $like->at, $like->minutes + $variant->minutes);
        }

        return $changes;
    }
}
