<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\Crypt;

/**
 * A mail as the local stand-in was given it. What it says is encrypted with the key of the application: it may hold a link.
 *
 * @property string|null $student_id
 * @property string $address
 * @property string $subject  closed, as the body is: {@see KeptMail::opened()}
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
        return ['sent_at' => 'datetime'];
    }

    /** A text as it is kept. */
    public static function closed(string $text): string
    {
        return Crypt::encryptString($text);
    }

    /** A text that is kept; null where the key of this installation does not open it, as after a backup under another key. */
    public static function opened(string $kept): ?string
    {
        try {
            return Crypt::decryptString($kept);
        } catch (DecryptException) {
            return null; // said where it is shown
        }
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class, 'student_id');
    }
}
