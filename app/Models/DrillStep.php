<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A step of a partner drill as the record names it; what is done in it stands in its lesson.
 *
 * @property string $lesson_id  there or gone
 * @property string $key  its id in the drill
 * @property string $title
 * @property KeptLesson|null $lesson
 */
final class DrillStep extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<KeptLesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(KeptLesson::class, 'lesson_id');
    }
}
