<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\Lesson;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\MeetingState;
use Gorvan\Core\Term\SaidPace;

/**
 * Another plan of the same term: another approach, another pace, lessons evenly spread or not, longer meetings, extra ones, the next
 * ones lost, or a smaller target.
 */
final readonly class PlanVariant
{
    private const MOST = 3;

    private const MOST_MINUTES = 60;

    private const MOST_EXTRA = 12;

    private const MOST_LOST = 4;

    /**
     * @param  Approach|null  $approach  null for as it is
     * @param  int  $minutes  more a meeting
     * @param  int  $extra  meetings more
     * @param  int|null  $to  the last position of the target; null for as it is
     * @param  int  $lost  of the next meetings, which do not take place
     * @param  SaidPace|null  $pace  null for as it is
     * @param  bool|null  $spread  null for as it is
     */
    public function __construct(public ?Approach $approach = null, public int $minutes = 0, public int $extra = 0, public ?int $to = null, public int $lost = 0, public ?SaidPace $pace = null, public ?bool $spread = null)
    {
    }

    /** @return list<self> */
    public static function list(mixed $given): array
    {
        $variants = [];
        foreach (is_array($given) ? array_slice($given, 0, self::MOST) : [] as $one) {
            $of = static fn (string $key): ?int => is_array($one) && is_int($one[$key] ?? null) ? $one[$key] : null;
            $approach = is_array($one) && is_string($one['approach'] ?? null) ? Approach::tryFrom($one['approach']) : null;
            $pace = is_array($one) && is_numeric($one['movements'] ?? null) ? SaidPace::movements((float) $one['movements']) : null;
            $spread = is_array($one) && is_bool($one['spread'] ?? null) ? $one['spread'] : null;
            $variants[] = new self($approach, max(0, min(self::MOST_MINUTES, $of('minutes') ?? 0)), max(0, min(self::MOST_EXTRA, $of('extra') ?? 0)), $of('to'), max(0, min(self::MOST_LOST, $of('lost') ?? 0)), $pace, $spread);
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
        $draft = $this->without($this->longer($draft));
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

    /** The next meetings do not take place. */
    private function without(TermDraft $draft): TermDraft
    {
        $next = array_values(array_filter($draft->taking(), static fn (DraftMeeting $meeting): bool => $meeting->isOpen));
        foreach (array_slice($next, 0, $this->lost) as $meeting) {
            $draft = $draft->put($meeting->with(['state' => MeetingState::Cancelled]));
        }

        return $draft;
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
        $course = $outset->course;
        $from = $course->target->from;
        $to = max($from, min($course->form->count(), $this->to ?? $course->target->to));
        $minutes = $draft->minutes();
        $paced = $course->with([
            'approach' => $this->approach ?? $course->approach,
            'said' => $this->pace ?? $course->said,
            'spread' => $this->spread ?? $course->spread,
            'size' => $this->pace === null ? $course->size : new LessonSize(lambda: $course->size->lambda),
        ]);
        if ($paced->approach !== $course->approach || $this->pace !== null) {
            $paced = $paced->paced($minutes, $outset->learned);
        }
        if ($paced->approach === $course->approach && $to <= $course->target->to) {
            // A course keeps its cut; at another pace more of its lessons share an evening, or come in parts.
            return $to < $course->target->to ? SolveFor::upTo($outset->with(['course' => $paced]), $to, $course->showing) : $outset->with(['course' => $paced]);
        }
        $paced = $paced->with(['target' => new Passage($from, $to)]);
        $cut = $paced->cut($cutter, $minutes, $outset->learned);
        // As it would be kept, so that taking it over gives the very plan that was compared.
        $ids = array_map(static fn (Lesson $lesson): array => $course->form->idsOf(new Passage($lesson->from, $lesson->to)), $cut->lessons);

        return $outset->with(['course' => $paced, 'cut' => $cutter->kept($course->form, $paced->scope($outset->learned), $ids, $cut->lessons[0]->number ?? 1)]);
    }
}
