<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A lesson of a form's current cut.
 *
 * @property string $form_id
 * @property int $ordinal
 * @property int $first
 * @property int $last
 * @property float $load
 */
final class Lesson extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];
}
