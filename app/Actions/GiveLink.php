<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Student;
use App\Words;
use Gorvan\Core\Reading\Message;

/** Makes a student a link, and mails it where that is wanted and an address is known. */
final class GiveLink
{
    public function __construct(private readonly PersonalLinks $links, private readonly MailStudent $mail, private readonly CurrentSchool $school)
    {
    }

    public function __invoke(Student $student, bool $byMail): GivenLink
    {
        [$link, $token] = $this->links->make($student);
        // The token stands behind the #, which no browser sends to a server and no log writes down.
        $address = url('/mine/home')."#$token";
        $school = $this->school->get()->name;
        $until = $this->school->get()->locale->day($link->expires_at->setTimezone($this->school->zone()));
        $isSent = $byMail && ($this->mail)($student, Words::of(Message::of('mail.link.subject', school: $school)), Words::of(Message::of('mail.link.text', name: $student->name, address: $address, until: $until, school: $school)));

        return new GivenLink($student, $link, $isSent ? null : $address, $isSent ? $student->email : null, $byMail && ! $isSent && $student->email !== null);
    }
}
