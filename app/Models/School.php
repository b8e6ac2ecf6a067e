<?php

declare(strict_types=1);

namespace App\Models;

use App\Record\Checkpoints;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A school, which sees only its own rows.
 *
 * @property string $id
 * @property string $name
 * @property string $timezone
 * @property bool $is_demo
 */
final class School extends Model
{
    use HasUuids;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_demo' => 'boolean'];
    }

    public static function booted(): void
    {
        // Another zone moves facts to other days, so what was computed of anybody's record no longer holds.
        self::updated(static function (self $school): void {
            if ($school->wasChanged('timezone')) {
                app(CurrentSchool::class)->during($school, static fn () => app(Checkpoints::class)->discard());
            }
        });
    }

    /** @return HasMany<User, $this> */
    public function users(): HasMany
    {
        return $this->hasMany(User::class);
    }
}
