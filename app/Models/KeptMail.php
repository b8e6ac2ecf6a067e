<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A mail as the local stand-in was given it. What it says is encrypted with the key of the application: it may hold a link.
 *
 * @property string|null $student_id
 * @property string $address
 * @property string $subject
 * @property string $body
 * @property \Illuminate\Support\Carbon $sent_at
 * @property Student|null $student
 */
final class KeptMail extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $table = 'mails';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['subject' => 'encrypted', 'body' => 'encrypted', 'sent_at' => 'datetime'];
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class, 'student_id');
    }
}
