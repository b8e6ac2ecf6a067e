<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What somebody's marks said of the forecasts, as it was measured; none where they changed since. Beside the student, because
 * it is long and hardly ever read.
 *
 * @property string $student_id
 * @property string $tests  each as what was seen and ages in stabilities, {@see \Gorvan\Core\Standing\ForecastTest}
 */
final class ForecastTests extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];
}
