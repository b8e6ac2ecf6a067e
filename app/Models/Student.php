<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Standing\BodySize;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * Someone who learns; a guest is one who is in no group.
 *
 * @property string $name
 * @property string|null $email  where their mail goes
 * @property BodySize|null $size  beside the others
 * @property int $record_epoch  grows when a checkpoint of the record no longer holds
 * @property \Illuminate\Support\Carbon|null $off_list_at
 * @property string|null $same_as  who they are on record too
 * @property string|null $joined  what making them one changed in the groups
 * @property string $also  who else on record is this student, as PostgreSQL writes a list
 * @property \Illuminate\Database\Eloquent\Collection<int, Consideration> $considerations
 */
final class Student extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['size' => BodySize::class, 'off_list_at' => 'datetime'];
    }

    /** @return list<string> who else on record is this student */
    public function others(): array
    {
        return array_values(array_filter(explode(',', trim($this->also, '{}')), static fn (string $one): bool => $one !== ''));
    }

    /** @return list<string> under which they stand on record */
    public function records(): array
    {
        return [$this->id, ...$this->others()];
    }

    /**
     * Everyone who is read with one of these records: the students themselves, and who they turned out to be.
     *
     * @param  Builder<self>  $query
     * @param  iterable<string>  $records
     */
    public function scopeReadWith(Builder $query, iterable $records): void
    {
        $query->where(static fn ($any) => $any->whereKey($records)->orWhereIn('id', self::whereKey($records)->whereNotNull('same_as')->select('same_as')));
    }

    /** @return HasMany<Consideration, $this> what was noted of them, the oldest first */
    public function considerations(): HasMany
    {
        $rows = $this->hasMany(Consideration::class, 'student_id');
        $rows->orderBy('created_at')->orderBy('id');

        return $rows;
    }

    /** @return HasOne<ForecastTests, $this> none where their marks changed since it was measured */
    public function forecastTests(): HasOne
    {
        return $this->hasOne(ForecastTests::class, 'student_id');
    }

    /** @return BelongsToMany<Group, $this> those they are in now */
    public function groups(): BelongsToMany
    {
        return $this->belongsToMany(Group::class, 'group_members')->whereColumn('group_members.school_id', 'groups.school_id')->wherePivotNull('left_on');
    }
}
