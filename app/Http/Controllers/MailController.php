<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Data\MailboxData;
use App\Http\Data\MailData;
use App\Mail\MailboxTransport;
use App\Models\CurrentSchool;
use App\Models\KeptMail;
use App\Shared\Description\Operation;
use Illuminate\Http\JsonResponse;

/** The mailbox that stands in for mail. */
final class MailController extends Controller
{
    private const MOST = 200;

    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[Operation('mailbox', 'What was sent, the latest first', MailboxData::class)]
    public function index(): JsonResponse
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, KeptMail> $mails */
        $mails = KeptMail::with('student')->orderByDesc('sent_at')->orderByDesc('id')->limit(self::MOST + 1)->get();

        return new JsonResponse(new MailboxData(config('mail.default') === MailboxTransport::NAME, array_values($mails->take(self::MOST)->map(fn (KeptMail $one): MailData => MailData::of($one, $this->school->zone()))->all()), $mails->count() > self::MOST));
    }
}
