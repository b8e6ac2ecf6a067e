<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\Lesson;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\MeetingState;

/** Another plan of the same term: another approach, longer meetings, extra ones, or a smaller target. */
final readonly class PlanVariant
{
    private const MOST = 3;

    private const MOST_MINUTES = 60;

    private const MOST_EXTRA = 12;

    /**
     * @param  Approach|null  $approach  null for as it is
     * @param  int  $minutes  more a meeting
     * @param  int  $extra  meetings more
     * @param  int|null  $to  the last position of the target; null for as it is
     */
    public function __construct(public ?Approach $approach = null, public int $minutes = 0, public int $extra = 0, public ?int $to = null)
    {
    }

    /** @return list<self> */
    public static function list(mixed $given): array
    {
        $variants = [];
        foreach (is_array($given) ? array_slice($given, 0, self::MOST) : [] as $one) {
            $of = static fn (string $key): ?int => is_array($one) && is_int($one[$key] ?? null) ? $one[$key] : null;
            $approach = is_array($one) && is_string($one['approach'] ?? null) ? Approach::tryFrom($one['approach']) : null;
            $variants[] = new self($approach, max(0, min(self::MOST_MINUTES, $of('minutes') ?? 0)), max(0, min(self::MOST_EXTRA, $of('extra') ?? 0)), $of('to'));
        }

        return $variants;
    }

    /**
     * The term and the courses as this plan would have them.
     *
     * @param  non-empty-list<CourseOutset>  $courses
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function on(TermDraft $draft, array $courses, int $course, LessonCutter $cutter): VariedTerm
    {
        $draft = $this->longer($draft);
        for ($more = 0; $more < $this->extra; $more++) {
            $day = $draft->widestGap();
            $like = array_values(array_filter($draft->taking(), static fn (DraftMeeting $meeting): bool => $meeting->isOpen))[0] ?? null;
            if ($day === null || $like === null) {
                break;
            }
            $draft = $draft->put(new DraftMeeting("extra-$more", $day, $like->at, $like->minutes, true, MeetingState::Added));
        }
        $courses[$course] = $this->varied($courses[$course], $draft, $cutter);

        return new VariedTerm($draft, array_values($courses));
    }

    private function longer(TermDraft $draft): TermDraft
    {
        foreach ($this->minutes === 0 ? [] : $draft->taking() as $meeting) {
            if ($meeting->isOpen) {
                $draft = $draft->put($meeting->with(['minutes' => $meeting->minutes + $this->minutes]));
            }
        }

        return $draft;
    }

    private function varied(CourseOutset $outset, TermDraft $draft, LessonCutter $cutter): CourseOutset
    {
        $from = $outset->course->target->from;
        $to = max($from, min($outset->course->form->count(), $this->to ?? $outset->course->target->to));
        $isSame = $to === $outset->course->target->to && ($this->approach === null || $this->approach === $outset->course->approach);
        if ($isSame) {
            return $outset; // a course keeps its cut
        }
        $course = $outset->course->with(['target' => new Passage($from, $to), 'approach' => $this->approach ?? $outset->course->approach]);
        if ($course->approach === $outset->course->approach && $to < $outset->course->target->to) {
            return SolveFor::upTo($outset, $to, $outset->course->showing);
        }
        $minutes = array_map(static fn (DraftMeeting $meeting): int => $meeting->minutes, $draft->taking());

        $cut = $course->cut($cutter, $minutes === [] ? [60] : $minutes, $outset->learned);
        // As it would be kept, so that taking it over gives the very plan that was compared.
        $ids = array_map(static fn (Lesson $lesson): array => $course->form->idsOf(new Passage($lesson->from, $lesson->to)), $cut->lessons);

        return $outset->with(['course' => $course, 'cut' => $cutter->kept($course->form, $course->scope($outset->learned), $ids)]);
    }
}
