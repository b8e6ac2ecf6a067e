<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\AskForPlan;
use App\Actions\PlanTerm;
use App\Actions\TaughtEntries;
use App\Http\Data\ClosureData;
use App\Http\Data\MeetingRow;
use App\Http\Data\TickData;
use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\LoggedClass;
use App\Models\Meeting;
use App\Models\PlacedForm;
use App\Models\Term;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Closure;
use Gorvan\Core\Term\Weekday;
use Illuminate\Database\Eloquent\Collection;

/** The meetings of a term as pages show them: what is planned, and what was held. */
final class Season
{
    public function __construct(private readonly CurrentSchool $school, private readonly AskForPlan $ask, private readonly TaughtEntries $entries)
    {
    }

    /**
     * @param  array<string, Form>  $forms  of the other courses, by course
     * @return list<MeetingRow> by instant
     */
    public function rows(Term $term, PlacedForm $placed, Course $course, array $forms = []): array
    {
        /** @var Collection<int, Meeting> $meetings */
        $meetings = $term->meetings()->orderBy('starts_at')->get();
        $taught = $this->taught($meetings->pluck('id')->all(), $placed);

        $known = $taught === [] ? null : ($this->entries)($term->group_id, $placed);
        $by = static fn (Meeting $meeting): int => count(array_filter($known?->by(Day::number($meeting->on), $placed->form) ?? [], static fn (int $position): bool => $placed->form->at($position)->kind === EntryKind::Movement));

        return array_values($meetings->map(fn (Meeting $meeting): MeetingRow => MeetingRow::of($meeting, $placed->form, $course, $taught[$meeting->id] ?? null, $this->school, $forms, isset($taught[$meeting->id]) ? $by($meeting) : null))->all());
    }

    /**
     * Reads the meetings of some terms by instant, and of each what their season line needs.
     *
     * @param  Collection<covariant array-key, Term>  $terms
     */
    public static function line(Collection $terms): void
    {
        $terms->load(['meetings' => static fn ($line) => $line->select('id', 'school_id', 'term_id', 'on', 'starts_at', 'plan', 'state')->orderBy('starts_at')]);
    }

    /**
     * @param  Collection<int, Meeting>  $meetings  by instant
     * @param  array<string, list<string>>  $taught  entries of the form by meeting
     * @return list<TickData>
     */
    public function ticksOf(Collection $meetings, Course $course, array $taught): array
    {
        [$today, $zone] = [$this->school->today(), $this->school->zone()];

        return array_values($meetings->map(static fn (Meeting $meeting): TickData => TickData::of($meeting, $course, $taught[$meeting->id] ?? null, $today, $zone))->all());
    }

    /**
     * What was taught at those of some meetings that were logged.
     *
     * @param  array<string>  $meetings
     * @return array<string, list<string>> entries of the form by meeting
     */
    public function taught(array $meetings, PlacedForm $placed): array
    {
        return self::in($placed, $this->taughtAt($meetings));
    }

    /**
     * What was taught at those of some meetings that were logged, of whatever form.
     *
     * @param  array<string>  $meetings
     * @return array<string, list<string>> `form/entry` by meeting
     */
    public function taughtAt(array $meetings): array
    {
        return array_map(static fn (string $taught): array => array_values(json_decode($taught, true)),
            LoggedClass::standing()->whereIn('meeting_id', $meetings)->toBase()->selectRaw('meeting_id, array_to_json(taught) as taught')->pluck('taught', 'meeting_id')->all());
    }

    /**
     * @param  array<string, list<string>>  $taught  `form/entry` by meeting
     * @return array<string, list<string>> the entries of one form by meeting
     */
    public static function in(PlacedForm $placed, array $taught): array
    {
        $prefix = "$placed->id/";

        return array_map(static fn (array $all): array => array_values(array_map(
            static fn (string $one): string => substr($one, strlen($prefix)),
            array_filter($all, static fn (string $one): bool => str_starts_with($one, $prefix)),
        )), $taught);
    }

    /** @return list<ClosureData> the days on which class falls out, one each; a closure that takes no class away is not among them */
    public static function closures(Term $term): array
    {
        $weekdays = array_map(static fn (array $row): Weekday => Weekday::from($row['weekday']), $term->pattern);
        $days = array_merge(...array_map(static fn (array $closure): array => (new Closure($closure['from'], $closure['to']))->fallenOut($weekdays, $term->starts_on, $term->ends_on), $term->closures));
        sort($days);

        return array_map(static fn (string $day): ClosureData => new ClosureData($day, $day), array_values(array_unique($days)));
    }

    /** A meeting that went by since the term was planned, and of which nobody has said anything, asks for a new plan; whether it did. */
    public function keepCurrent(Term $term): bool
    {
        $today = $this->school->today();
        if ($term->plan_format < PlanTerm::FORMAT && ! $term->isBeingPlanned() && $term->ends_on >= $today) {
            ($this->ask)($term, Message::of(PlanTerm::QUIETLY));

            return true;
        }
        $planned = $term->planned_at?->setTimezone($this->school->zone())->format('Y-m-d');
        if ($term->isBeingPlanned() || $planned === $today || $term->ends_on < $today) {
            return false;
        }
        $went = $term->meetings()->where('on', '<', $today)->where('state', '<>', 'cancelled')->when($planned !== null, static fn ($since) => $since->where('on', '>=', $planned))
            ->whereDoesntHave('logs', static fn ($logs) => $logs->standing());
        if (! $went->exists()) {
            return false;
        }
        ($this->ask)($term, Message::of('cause.unsaid'));

        return true;
    }
}
