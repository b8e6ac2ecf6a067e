<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A group's term: its days, its weekly pattern and closures, its form and approach.
 *
 * @property string $group_id
 * @property string $form_id
 * @property string $title
 * @property string $starts_on
 * @property string $ends_on
 * @property list<array{weekday: string, at: string, minutes: int}> $pattern
 * @property list<array{from: string, to: string}> $closures
 * @property \Gorvan\Core\Term\Approach $approach
 * @property list<string> $warnings
 * @property Group $group
 * @property Form $form
 * @property \Illuminate\Database\Eloquent\Collection<int, Meeting> $meetings
 */
final class Term extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['pattern' => 'array', 'closures' => 'array', 'warnings' => 'array', 'approach' => \Gorvan\Core\Term\Approach::class];
    }

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class, 'group_id');
    }

    /** @return BelongsTo<Form, $this> */
    public function form(): BelongsTo
    {
        return $this->belongsTo(Form::class, 'form_id');
    }

    /** @return HasMany<Meeting, $this> */
    public function meetings(): HasMany
    {
        return $this->hasMany(Meeting::class, 'term_id');
    }
}
