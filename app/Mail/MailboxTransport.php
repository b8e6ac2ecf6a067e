<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\KeptMail;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Email;
use Symfony\Component\Mime\MessageConverter;

/** The local stand-in for mail: keeps what it is given where the mailbox page shows it. Nothing leaves the machine. */
final class MailboxTransport extends AbstractTransport
{
    public const NAME = 'mailbox';

    /** Days a mail is kept. */
    private const DAYS = 90;

    public function __toString(): string
    {
        return self::NAME;
    }

    protected function doSend(SentMessage $message): void
    {
        $original = $message->getOriginalMessage();
        $email = $original instanceof Email ? $original : MessageConverter::toEmail($message->getMessage()); // @phpstan-ignore argument.type (what Laravel sends is a message)
        KeptMail::create([
            'student_id' => $email->getHeaders()->get(StudentMail::STUDENT)?->getBodyAsString(),
            'address' => $email->getTo()[0]->getAddress(),
            'subject' => KeptMail::closed((string) $email->getSubject()),
            'body' => KeptMail::closed(trim((string) $email->getTextBody())),
            'sent_at' => now(),
        ]);
        KeptMail::where('sent_at', '<', now()->subDays(self::DAYS))->delete();
    }
}
