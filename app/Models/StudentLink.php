<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A personal link: whoever has it sees what one student sees. The token itself is nowhere.
 *
 * @property string $student_id
 * @property string $token
 * @property \Illuminate\Support\Carbon $made_at
 * @property \Illuminate\Support\Carbon $expires_at
 * @property \Illuminate\Support\Carbon|null $revoked_at
 */
final class StudentLink extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $table = 'student_links';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['made_at' => 'datetime', 'expires_at' => 'datetime', 'revoked_at' => 'datetime'];
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class, 'student_id');
    }

    /** @return HasMany<LinkDevice, $this> */
    public function devices(): HasMany
    {
        return $this->hasMany(LinkDevice::class, 'link_id');
    }

    /** Whether it opens anything on this day. */
    public function isOpen(): bool
    {
        return $this->revoked_at === null && $this->expires_at->isFuture();
    }
}
