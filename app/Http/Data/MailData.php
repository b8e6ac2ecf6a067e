<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\KeptMail;
use DateTimeZone;
use OpenApi\Attributes as OA;

/** A mail that the local stand-in keeps. */
#[OA\Schema]
final readonly class MailData
{
    /** @param  string|null  $subject  null, as the body is, where it cannot be read here any more */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $address,
        #[OA\Property]
        public ?string $studentId,
        #[OA\Property]
        public ?string $student,
        #[OA\Property]
        public ?string $subject,
        #[OA\Property]
        public ?string $body,
        #[OA\Property]
        public string $sentAt,
    ) {
    }

    public static function of(KeptMail $mail, DateTimeZone $zone): self
    {
        return new self($mail->id, $mail->address, $mail->student_id, $mail->student?->name, KeptMail::opened($mail->subject), KeptMail::opened($mail->body), $mail->sent_at->setTimezone($zone)->toRfc3339String());
    }
}
