<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mail\StudentMail;
use App\Models\CurrentSchool;
use App\Models\Student;
use Illuminate\Support\Facades\Mail;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;

/** Sends a student a mail, by whatever mail this installation has: a mailbox of its own where nothing else is set. */
final class MailStudent
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    /** @return bool whether it went; a fault is reported, and whoever sends says so */
    public function __invoke(Student $student, string $subject, string $text): bool
    {
        if ($student->email === null) {
            return false;
        }
        try {
            Mail::send(new StudentMail($this->school->get(), $student, $subject, $text));
        } catch (TransportExceptionInterface $e) {
            report($e);

            return false;
        }

        return true;
    }
}
