<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A principle as the record names it; what it says stands in the document of its set.
 *
 * @property string $set_id
 * @property string $key  its id in the set
 * @property string $title
 * @property int|null $ordinal  null once it is taken out of its set
 */
final class Principle extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];
}
