<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One date of a group. The plan names entries by id; `log_id` is set once the class has been logged.
 *
 * @property string $term_id
 * @property string $on
 * @property \Illuminate\Support\Carbon $starts_at
 * @property int $minutes
 * @property \Gorvan\Core\Term\MeetingKind|null $kind
 * @property array<string, int>|null $boxes
 * @property array<string, mixed>|null $plan
 * @property string|null $log_id
 * @property Term $term
 */
final class Meeting extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['starts_at' => 'datetime', 'boxes' => 'array', 'plan' => 'array', 'kind' => \Gorvan\Core\Term\MeetingKind::class];
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
}
