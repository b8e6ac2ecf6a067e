<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Term\MeetingPins;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\MeetingState;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One date of a group, and what it is meant to hold.
 *
 * @property string $term_id
 * @property string $on
 * @property \Illuminate\Support\Carbon $starts_at
 * @property int $minutes
 * @property string|null $plan
 * @property MeetingState $state
 * @property string|null $reason  why it was moved, cancelled, added or is of another length
 * @property string|null $room  where it is not the usual one
 * @property string|null $pins
 * @property int $sequence  how often calendars were told something new of it
 * @property Term $term
 * @property \Illuminate\Database\Eloquent\Collection<int, Attendance> $attendances
 */
final class Meeting extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @var array{string, MeetingPlan}|null  the plan as it was read last, and from what: a page asks for it many times */
    private ?array $read = null;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['starts_at' => 'datetime', 'minutes' => 'integer', 'state' => MeetingState::class, 'sequence' => 'integer'];
    }

    /** @return BelongsTo<Term, $this> */
    public function term(): BelongsTo
    {
        return $this->belongsTo(Term::class, 'term_id');
    }

    /** @return HasMany<Attendance, $this> */
    public function attendances(): HasMany
    {
        return $this->hasMany(Attendance::class, 'meeting_id');
    }

    /** @return HasMany<LoggedClass, $this> every log it ever had */
    public function logs(): HasMany
    {
        return $this->hasMany(LoggedClass::class, 'meeting_id');
    }

    /**
     * Who is there and in no group of it.
     *
     * @return list<string> students
     */
    public function guests(?LoggedClass $log): array
    {
        $there = [...$this->attendances->where('is_present', true)->pluck('student_id')->all(), ...($log?->log()->there() ?? [])];
        $members = $this->term->group->membersSince($this->on)->pluck('id')->all();

        return array_values(array_map(strval(...), array_diff(array_unique($there), $members)));
    }

    /** What it did hold, if anybody has said. */
    public function standingLog(): ?LoggedClass
    {
        return LoggedClass::where('meeting_id', $this->id)->standing()->first();
    }

    /** What the teacher fixed of it. */
    public function fixed(): MeetingPins
    {
        return $this->pins === null ? new MeetingPins : MeetingPins::read(JsonNode::parse($this->pins));
    }

    /** What it is meant to hold, null while nothing was planned. */
    public function planned(): ?MeetingPlan
    {
        if ($this->plan === null) {
            return null;
        }
        if ($this->read === null || $this->read[0] !== $this->plan) {
            $this->read = [$this->plan, MeetingPlan::read(JsonNode::parse($this->plan))];
        }

        return $this->read[1];
    }
}
