<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a student noted of practising at home: a contact, never a mark.
 *
 * @property string $student_id
 * @property string $on
 * @property \Illuminate\Support\Carbon $at
 * @property int|null $minutes
 * @property bool|null $from_memory  false with the sheet
 * @property string $entries  rows, as PostgreSQL writes a list
 * @property \Illuminate\Support\Carbon|null $withdrawn_at
 */
final class HomePractice extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $table = 'home_practices';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'datetime', 'received_at' => 'datetime', 'minutes' => 'integer', 'from_memory' => 'boolean', 'withdrawn_at' => 'datetime'];
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class, 'student_id');
    }

    /** @return list<string> rows of the entries that were practised */
    public function practised(): array
    {
        return array_values(array_filter(explode(',', trim($this->entries, '{}')), static fn (string $one): bool => $one !== ''));
    }
}
