<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A device on which a personal link was opened; two people with one link are two devices.
 *
 * @property string $link_id
 * @property string $key
 * @property \Illuminate\Support\Carbon $first_at
 * @property \Illuminate\Support\Carbon $last_at
 */
final class LinkDevice extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $table = 'link_devices';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['first_at' => 'datetime', 'last_at' => 'datetime'];
    }

    /** @return BelongsTo<StudentLink, $this> */
    public function link(): BelongsTo
    {
        return $this->belongsTo(StudentLink::class, 'link_id');
    }
}
