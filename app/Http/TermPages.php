<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\ChangedPlan;
use App\Actions\PacedCourse;
use App\Actions\ReadTermDraft;
use App\Http\Data\ChangePreviewData;
use App\Http\Data\CourseData;
use App\Http\Data\ForecastData;
use App\Http\Data\GroupPrinciplesData;
use App\Http\Data\MeetingRow;
use App\Http\Data\TermData;
use App\Http\Data\TermSummary;
use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Meeting;
use App\Models\PlacedForm;
use App\Models\Student;
use App\Models\Term;
use ArrayObject;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\Change\DraftMeeting;
use Gorvan\Core\Term\Change\TermDraft;
use Gorvan\Core\Term\Course as CoreCourse;
use Gorvan\Core\Term\CourseForecast;
use Gorvan\Core\Term\TermDates;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;

/** A term as its pages show it: as it is, or as some changes would leave it. */
final class TermPages
{
    public function __construct(private readonly CurrentSchool $school, private readonly Season $season, private readonly PacedCourse $paced, private readonly ReadTermDraft $draft)
    {
    }

    public function term(Term $term): TermData
    {
        // First whether it is being planned, then the plan: a plan that is written in between is shown, or asked for again.
        $summary = TermSummary::find($term->id);
        $term->refresh();
        [$rows, $placed] = $this->courses($term);
        $forecasts = collect($term->forecasts())->keyBy('course');
        $meetings = $this->season->rows($term, $placed[$rows[0]->id], $rows[0], self::others($rows, $placed));
        $draft = ($this->draft)($term);
        $names = self::far($term->forecasts());

        return new TermData(
            $summary,
            array_values(array_map(fn (Course $row): CourseData => CourseData::of($row, $placed[$row->id], $this->course($row, $placed[$row->id], $draft), $forecasts[$row->id] ?? null, $names), $rows)),
            Season::closures($term),
            $meetings,
            $term->warned(),
            new ArrayObject($this->names($meetings)),
            $term->plan_asked,
            $term->room ?? $term->group->room,
            $term->ends_on < $this->school->today(),
            GroupPrinciplesData::of($term->group),
            $term->turns ?? [],
        );
    }

    /**
     * The names of who is far from what some courses should come to.
     *
     * @param  list<CourseForecast>  $forecasts
     * @return array<string, string> by id
     */
    private static function far(array $forecasts): array
    {
        $ids = array_merge([], ...array_map(static fn (CourseForecast $one): array => array_keys($one->far), $forecasts));

        return $ids === [] ? [] : Student::whereKey($ids)->pluck('name', 'id')->all();
    }

    /** A course as core knows it, with its pace in its term. */
    private function course(Course $row, PlacedForm $placed, TermDraft $draft): CoreCourse
    {
        return $draft->holds(($this->paced)($row, $placed)->paced($draft->minutes(), $this->paced->learned($row, $placed)));
    }

    public function preview(Term $term, ChangedPlan $changed): ChangePreviewData
    {
        [$rows, $placed] = $this->courses($term);
        $known = Meeting::where('term_id', $term->id)->get()->keyBy('id');
        $names = self::far($changed->plan->courses);
        $meetings = array_map(function (DraftMeeting $draft) use ($known, $changed): Meeting {
            $meeting = $known[$draft->id] ?? new Meeting;
            $plan = $changed->plans[$draft->id] ?? null;
            $meeting->forceFill([
                'id' => $draft->id, 'on' => $draft->on, 'starts_at' => Carbon::instance(TermDates::instant($draft->on, $draft->at, $this->school->zone())),
                'minutes' => $draft->minutes, 'state' => $draft->state, 'reason' => $draft->reason, 'room' => $draft->room, 'pins' => json_encode($draft->pins->toData(), JSON_THROW_ON_ERROR),
                ...($plan === null ? [] : ['plan' => $plan->json()]),
            ]);

            return $meeting;
        }, $changed->draft->meetings);
        $taught = $this->season->taught(array_map(static fn (Meeting $one): string => $one->id, $meetings), $placed[$rows[0]->id]);

        return new ChangePreviewData(
            $changed->difference,
            $changed->cost(),
            array_map(fn (Meeting $one): MeetingRow => MeetingRow::of($one, $placed[$rows[0]->id]->form, $rows[0], $taught[$one->id] ?? null, $this->school, self::others($rows, $placed)), $meetings),
            array_map(static fn (CourseForecast $one): ForecastData => ForecastData::of($one, $names), $changed->plan->courses),
        );
    }

    /** @return array{non-empty-list<Course>, array<string, PlacedForm>} */
    private function courses(Term $term): array
    {
        /** @var Collection<int, Course> $rows */
        $rows = $term->courses()->with('form')->get();
        $placed = [];
        foreach ($rows as $row) {
            $placed[$row->id] = $row->form->placed();
        }

        return [array_values($rows->all()), $placed]; // @phpstan-ignore return.type (a term has a course)
    }

    /**
     * @param  list<Course>  $rows
     * @param  array<string, PlacedForm>  $placed
     * @return array<string, Form> of the courses after the first
     */
    private static function others(array $rows, array $placed): array
    {
        $others = [];
        foreach (array_slice($rows, 1) as $row) {
            $others[$row->id] = $placed[$row->id]->form;
        }

        return $others;
    }

    /**
     * Whom the plan speaks of.
     *
     * @param  list<MeetingRow>  $meetings
     * @return array<string, string> names by student
     */
    private function names(array $meetings): array
    {
        $ids = [];
        foreach ($meetings as $meeting) {
            foreach ($meeting->courses as $course) {
                foreach ($course->review as $review) {
                    $ids[] = $review->most;
                }
            }
        }
        $ids = array_filter(array_unique($ids), static fn (?string $id): bool => $id !== null && strlen($id) === 36);

        return Student::whereIn('id', $ids)->pluck('name', 'id')->all();
    }
}
