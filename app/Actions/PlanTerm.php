<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Meeting;
use App\Models\Score;
use App\Models\Term;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Memory\Standing;
use Gorvan\Core\Term\KnownEntry;
use Gorvan\Core\Term\LayoutRequest;
use Gorvan\Core\Term\PlannedMeeting;
use Gorvan\Core\Term\ReviewItem;
use Gorvan\Core\Term\TermLayout;
use Gorvan\Core\Term\TermMeeting;

/** Plans what is still open of a term: meetings already held or past stay as they were. */
final class PlanTerm
{
    public function __construct(
        private readonly CurrentSchool $school,
        private readonly LessonCutter $cutter,
        private readonly TermLayout $layout,
        private readonly ReadStandings $standings,
        private readonly TaughtEntries $taught,
    ) {
    }

    public function __invoke(Term $term): void
    {
        $term->load('form.entries', 'group.students');
        $form = $term->form;
        $score = $form->score();
        $today = $this->school->today();
        /** @var \Illuminate\Database\Eloquent\Collection<int, Meeting> $meetings */
        $meetings = $term->meetings()->orderBy('starts_at')->get();
        $students = array_values($term->group->students->pluck('id')->all());
        $plan = $this->layout->lay(new LayoutRequest(
            $score->form,
            $form->cut($this->cutter),
            array_values($meetings->map(static fn (Meeting $meeting): TermMeeting => new TermMeeting(
                $meeting->on, $meeting->minutes, $meeting->log_id === null && $meeting->on >= $today,
            ))->all()),
            ($this->taught)($term->group_id, $score),
            array_map($this->known(...), array_values(($this->standings)($score, $students, $today))),
            $term->approach,
        ));
        foreach ($plan->meetings as $at => $planned) {
            $meetings[$at]?->update($this->stored($planned, $score));
        }
        $term->update(['warnings' => $plan->warnings]);
    }

    /**
     * @param  array<int, array<string, Standing>>  $standings
     * @return array<int, KnownEntry> the weaker side where sides are apart
     */
    private function known(array $standings): array
    {
        $known = [];
        foreach ($standings as $position => $tracks) {
            foreach ($tracks as $track) {
                if ($track->state !== null && $track->last !== null
                    && (! isset($known[$position]) || $track->state->stability < $known[$position]->state->stability)) {
                    $known[$position] = new KnownEntry($track->state, $track->last);
                }
            }
        }

        return $known;
    }

    /** @return array<string, mixed> */
    private function stored(PlannedMeeting $planned, Score $score): array
    {
        return [
            'kind' => $planned->kind,
            'boxes' => $planned->boxes->all(),
            'plan' => [
                'lesson_number' => $planned->lessonNumber,
                'lesson' => $score->stored($planned->lesson),
                'recap' => $score->stored($planned->recap),
                'review' => array_map(static fn (ReviewItem $item): array => [
                    ...($score->stored($item->passage) ?? []),
                    'passes' => $item->passes,
                    'minutes' => $item->minutes,
                    'mean_recall' => $item->meanRecall,
                ], $planned->review),
                'run_through' => $score->stored($planned->runThrough),
                'taught_after' => $planned->taughtAfter,
                'recall_after' => $planned->recallAfter,
                'notes' => $planned->notes,
            ],
        ];
    }
}
