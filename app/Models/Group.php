<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A class of students.
 *
 * @property string $name
 * @property string|null $room
 * @property string $form_id  of the form it learns next
 * @property Form $form
 * @property string|null $principle_set_id  of the principles it works on
 * @property int $focuses  principles a meeting, or {@see WHOLE_FAMILY}
 * @property bool $is_room_cold
 * @property float|null $practice_minutes  a day at home
 * @property int|null $practice_days  between two meetings
 * @property PrincipleSet|null $principles
 * @property \Illuminate\Support\Carbon|null $pace_since  lessons that came in before do not teach its pace
 * @property \Illuminate\Database\Eloquent\Collection<int, Student> $students
 */
final class Group extends Model
{
    use BelongsToSchool;

    /** Instead of a number of principles: a whole family of them, for a week. */
    public const WHOLE_FAMILY = 0;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['pace_since' => 'datetime', 'focuses' => 'integer', 'is_room_cold' => 'boolean', 'practice_minutes' => 'float', 'practice_days' => 'integer'];
    }

    /** @return BelongsTo<Form, $this> */
    public function form(): BelongsTo
    {
        return $this->belongsTo(Form::class, 'form_id');
    }

    /** @return BelongsTo<PrincipleSet, $this> */
    public function principles(): BelongsTo
    {
        return $this->belongsTo(PrincipleSet::class, 'principle_set_id');
    }

    /** @return BelongsToMany<Student, $this> who is in it now */
    public function students(): BelongsToMany
    {
        return $this->belongsToMany(Student::class, 'group_members')->whereColumn('group_members.school_id', 'students.school_id')->wherePivotNull('left_on');
    }

    /** @return HasMany<Term, $this> */
    public function terms(): HasMany
    {
        return $this->hasMany(Term::class, 'group_id');
    }

    /**
     * Who was in it on a day, and who has come since: a class that is logged late may have had them as guests.
     *
     * @return Builder<Student>
     */
    public function membersSince(string $day): Builder
    {
        return Student::whereIn('id', GroupMember::where('group_id', $this->id)
            ->where(static fn ($member) => $member->whereNull('left_on')->orWhere('left_on', '>=', $day))->select('student_id'));
    }

    /**
     * Its members, and guests of a class beside them, by name.
     *
     * @param  list<string>  $also  students
     * @return \Illuminate\Database\Eloquent\Collection<int, Student>
     */
    public function byName(array $also = []): \Illuminate\Database\Eloquent\Collection
    {
        $members = $this->loadMissing('students')->students;

        return ($also === [] ? $members : $members->merge(Student::whereIn('id', $also)->get()))->sortBy(static fn (Student $one): string => $one->name, SORT_NATURAL | SORT_FLAG_CASE);
    }
}
