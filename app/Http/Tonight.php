<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\ReadCare;
use App\Actions\ReadStandings;
use App\Actions\TaughtEntries;
use App\Http\Data\CourseFormData;
use App\Http\Data\GroupPrinciplesData;
use App\Http\Data\MeetingRow;
use App\Http\Data\ReadinessData;
use App\Http\Data\StudentCareData;
use App\Http\Data\TermSummary;
use App\Http\Data\TonightData;
use App\Http\Data\TonightWarmUps;
use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Meeting;
use App\Models\PlacedForm;
use App\Models\Student;
use App\Models\Term;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Standing\Readiness;
use Gorvan\Core\Standing\StudentStanding;
use Illuminate\Database\Eloquent\Collection;

/** The classes of a day as Today shows them. However many they are, what they rest on is read once for all of them. */
final class Tonight
{
    /** What the page needs of a term, beside its courses and meetings. */
    private const WITH = ['group.students.considerations', 'group.principles.principles', 'group.principles.gone'];

    /** @var array<string, PlacedForm> */
    private array $placed = [];

    public function __construct(
        private readonly CurrentSchool $school,
        private readonly Season $season,
        private readonly ReadStandings $standings,
        private readonly TaughtEntries $taught,
        private readonly ReadCare $care,
    ) {
    }

    /** @return array{list<TonightData>, Meeting|null, TermSummary|null} those of the day by instant, and the first after it */
    public function of(string $day): array
    {
        $standing = Meeting::where('state', '<>', 'cancelled')->orderBy('starts_at')->select('id', 'term_id');
        $tonight = (clone $standing)->where('on', $day)->get();
        $after = (clone $standing)->where('on', '>', $day)->first();
        $evening = array_unique($tonight->pluck('term_id')->all());
        $ids = array_values(array_unique([...$evening, ...($after === null ? [] : [$after->term_id])]));
        // Whether a plan is being made is asked before the plan is read: one that is written in between is shown, or asked for
        // again, and never an old one as the new.
        $terms = self::terms($ids);
        if ($terms->only($evening)->filter($this->season->keepCurrent(...))->isNotEmpty()) {
            $terms = self::terms($ids);
        }
        $terms->load('courses');
        // A meeting, or its whole term, may have been taken away in between.
        /** @var Collection<int, Meeting> $read */
        $read = Meeting::with('attendances')->whereKey([...$tonight->modelKeys(), ...($after === null ? [] : [$after->id])])->orderBy('starts_at')->get();
        $read = $read->filter(static fn (Meeting $one): bool => ($terms[$one->term_id] ?? null)?->courses->isNotEmpty() ?? false)
            ->each(static fn (Meeting $one) => $one->setRelation('term', $terms[$one->term_id]));
        Season::line($terms->only($evening)->loadMissing(self::WITH));
        $this->readForms($terms);
        $next = $after === null ? null : $read->first(static fn (Meeting $one): bool => $one->id === $after->id);

        return [$this->all($read->only($tonight->modelKeys())), $next, $next === null ? null : TermSummary::of($next->term)];
    }

    /**
     * @param  list<string>  $ids
     * @return Collection<string, Term> by id, with their groups and what their summaries count
     */
    private static function terms(array $ids): Collection
    {
        return $ids === [] ? new Collection : TermSummary::withCounts()->whereKey($ids)->get()->keyBy('id');
    }

    /** A form of one of the classes, read with them. */
    public function form(Course $course): PlacedForm
    {
        return $this->placed[$course->form_id];
    }

    /** @param  Collection<string, Term>  $terms */
    private function readForms(Collection $terms): void
    {
        $courses = array_merge([], ...array_values($terms->map(static fn (Term $one): array => $one->courses->all())->all()));
        $forms = Form::whereKey(array_unique(array_column($courses, 'form_id')))->get()->keyBy('id');
        $this->placed = Form::placedAll($forms);
        foreach ($courses as $course) {
            /** @var Form $form */
            $form = $forms[$course->form_id];
            $course->setRelation('form', $form);
        }
    }

    /**
     * @param  Collection<int, Meeting>  $meetings
     * @return list<TonightData>
     */
    private function all(Collection $meetings): array
    {
        $groups = array_values(array_unique($meetings->map(static fn (Meeting $one): string => $one->term->group_id)->all()));
        $firsts = $groups === [] ? [] : $this->taught->firsts($groups);
        $logged = $this->season->taughtAt($meetings->flatMap(static fn (Meeting $one): array => $one->term->meetings->modelKeys())->all());
        $recaps = $meetings->mapWithKeys(fn (Meeting $one): array => [$one->id => $this->recap($one)])->all();
        $tracks = $this->tracks($meetings, $recaps);
        $given = Day::number($this->school->today());

        return array_values($meetings->map(function (Meeting $meeting) use ($firsts, $logged, $recaps, $tracks, $given): TonightData {
            $term = $meeting->term;
            $course = $term->courses->firstOrFail();
            $placed = $this->form($course);
            $others = $term->courses->slice(1)->mapWithKeys(fn (Course $one): array => [$one->id => $this->form($one)->form])->all();
            $forms = [$course->id => $placed->form, ...$others];
            $taught = Season::in($placed, $logged);
            $warmUps = $this->school->get()->warmUps();
            $model = $this->school->get()->memory();
            $stand = $term->group->students->map(static fn (Student $one): ?Readiness => StudentStanding::readinessIn($placed->form, $tracks[$placed->id][$one->id], $recaps[$meeting->id], $given, $model));

            return new TonightData(
                TermSummary::of($term),
                MeetingRow::of($meeting, $placed->form, $course, $taught[$meeting->id] ?? null, $this->school, $others),
                $placed->id,
                $course->id,
                TaughtEntries::in($placed, $firsts[$term->group_id] ?? [])->by($given, $placed->form),
                ReadinessData::of(array_values($stand->all())),
                $this->season->ticksOf($term->meetings, $course, $taught),
                Season::closures($term),
                array_values($term->courses->map(CourseFormData::of(...))->all()),
                GroupPrinciplesData::of($term->group),
                TonightWarmUps::of($meeting->planned(), $forms, $warmUps, $term->group->is_room_cold),
                StudentCareData::all(($this->care)($meeting, $forms), $this->care->names($meeting), $forms, $warmUps),
            );
        })->all());
    }

    /** The passage that a class goes over again before what is new. */
    private function recap(Meeting $meeting): ?Passage
    {
        $course = $meeting->term->courses->firstOrFail();

        return $this->form($course)->form->passageOf($meeting->planned()?->course($course->id)->recap ?? []);
    }

    /**
     * What everyone in the groups remembers of the entries that are gone over tonight.
     *
     * @param  Collection<int, Meeting>  $meetings
     * @param  array<string, Passage|null>  $recaps  by meeting
     * @return array<string, array<string, array<string, Tracks>>> by form, student and the entry's id in the form
     */
    private function tracks(Collection $meetings, array $recaps): array
    {
        $students = $entries = $tracks = [];
        foreach ($meetings as $meeting) {
            $placed = $this->form($meeting->term->courses->firstOrFail());
            $students[$placed->id] = [...($students[$placed->id] ?? []), ...$meeting->term->group->students->modelKeys()];
            $entries[$placed->id] = [...($entries[$placed->id] ?? []), ...array_map($placed->idAt(...), $recaps[$meeting->id]?->positions() ?? [])];
        }
        foreach ($students as $form => $ids) {
            $tracks[$form] = $this->standings->tracks($this->placed[$form], array_values(array_unique($ids)), $this->school->today(), array_values(array_unique($entries[$form])));
        }

        return $tracks;
    }
}
