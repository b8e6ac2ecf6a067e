<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a student needed on an entry: never edited, only withdrawn.
 *
 * @property string $student_id
 * @property string $entry_id
 * @property string|null $meeting_id
 * @property string|null $side
 * @property \Gorvan\Core\Memory\Support $support
 * @property \Illuminate\Support\Carbon $at
 * @property string $made_by
 */
final class Mark extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['support' => \Gorvan\Core\Memory\Support::class, 'at' => 'datetime'];
    }
}
