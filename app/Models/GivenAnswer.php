<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a request that makes something was answered.
 *
 * @property string $user_id
 * @property string $asked  SHA-256 of the method, the path and the body
 * @property int $status
 * @property string $body
 * @property \Illuminate\Support\Carbon $at
 */
final class GivenAnswer extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['status' => 'integer', 'body' => 'encrypted', 'at' => 'datetime'];
    }
}
