<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A named stretch of a form.
 *
 * @property string $form_id
 * @property string $title
 * @property int $first
 * @property int $last
 * @property \stdClass $others
 */
final class Section extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['others' => 'object'];
    }
}
