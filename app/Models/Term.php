<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\CourseForecast;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A group's term: its days, its weekly pattern and closures, and one or more courses.
 *
 * @property string $group_id
 * @property string $title
 * @property string $starts_on
 * @property string $ends_on
 * @property list<array{weekday: string, at: string, minutes: int}> $pattern
 * @property list<array{from: string, to: string}> $closures
 * @property string $warnings
 * @property string|null $forecast
 * @property string|null $room
 * @property string|null $plan_cause
 * @property int $plan_asked  how often something changed that the plan rests on
 * @property int $plan_answered  how many of those changes the plan knows
 * @property Carbon|null $planned_at
 * @property int $plan_format  the format its plans were last written in
 * @property list<int>|null $turns  whose evening it is, by place of the course; null where all share each evening
 * @property Group $group
 * @property \Illuminate\Database\Eloquent\Collection<int, Course> $courses
 * @property \Illuminate\Database\Eloquent\Collection<int, Meeting> $meetings
 */
final class Term extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['pattern' => 'array', 'closures' => 'array', 'plan_asked' => 'integer', 'plan_answered' => 'integer', 'plan_format' => 'integer', 'turns' => 'array', 'planned_at' => 'datetime'];
    }

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class, 'group_id');
    }

    /** @return HasMany<Course, $this> in their order */
    public function courses(): HasMany
    {
        $rows = $this->hasMany(Course::class, 'term_id');
        $rows->orderBy('ordinal');

        return $rows;
    }

    /** @return array<string, \Gorvan\Core\Form\Form> the forms of its courses, by course */
    public function forms(): array
    {
        return $this->courses()->with('form')->get()->mapWithKeys(static fn (Course $one): array => [$one->id => $one->form->placed()->form])->all();
    }

    /** @return HasMany<Meeting, $this> */
    public function meetings(): HasMany
    {
        return $this->hasMany(Meeting::class, 'term_id');
    }

    /** Whether something changed that the plan does not know yet. */
    public function isBeingPlanned(): bool
    {
        return $this->plan_answered < $this->plan_asked;
    }

    /** @return list<CourseForecast> what its courses should come to */
    public function forecasts(): array
    {
        return $this->forecast === null ? [] : array_map(CourseForecast::read(...), JsonNode::parse($this->forecast)->items());
    }

    /** @return list<Message> */
    public function warned(): array
    {
        return array_map(Message::read(...), JsonNode::parse($this->warnings)->items());
    }
}
