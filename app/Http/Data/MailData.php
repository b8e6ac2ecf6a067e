<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\KeptMail;
use DateTimeZone;

/** A mail that the local stand-in keeps. */
final readonly class MailData
{
    /** @param  string|null  $subject  null, as the body is, where it cannot be read here any more */
    public function __construct(
        public string $id,
        public string $address,
        public ?string $studentId,
        public ?string $student,
        public ?string $subject,
        public ?string $body,
        public string $sentAt,
    ) {
    }

    public static function of(KeptMail $mail, DateTimeZone $zone): self
    {
        return new self($mail->id, $mail->address, $mail->student_id, $mail->student?->name, KeptMail::opened($mail->subject), KeptMail::opened($mail->body), $mail->sent_at->setTimezone($zone)->toRfc3339String());
    }
}
