<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\School;
use App\Models\Student;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Address;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Mail\Mailables\Headers;

/** A mail to a student: plain text, from their school. */
final class StudentMail extends Mailable
{
    /** Names whom it is for, so that the stand-in can show it beside them. */
    public const STUDENT = 'X-Gorvan-Student';

    /** @param  Student  $student  with an address */
    public function __construct(private readonly School $school, private readonly Student $student, private readonly string $about, public readonly string $text)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(from: new Address((string) config('gorvan.mail_from'), $this->school->name), to: [new Address((string) $this->student->email, $this->student->name)], subject: $this->about);
    }

    public function headers(): Headers
    {
        return new Headers(text: [self::STUDENT => $this->student->id]);
    }

    public function content(): Content
    {
        return new Content(text: 'mail.text');
    }
}
