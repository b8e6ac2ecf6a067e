<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Letter;
use App\Models\Term;
use App\Words;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Sends letters by mail, each version once, however often it is asked. */
final class SendLetters
{
    public function __construct(private readonly MailStudent $mail, private readonly CurrentSchool $school)
    {
    }

    /**
     * @param  list<string>  $letters  ids
     * @return list<Letter> as they are now; one that could not go has no time of sending
     */
    public function __invoke(Term $term, array $letters): array
    {
        $sent = [];
        foreach ($letters as $id) {
            $sent[] = DB::transaction(function () use ($term, $id): Letter {
                $letter = Letter::lockForUpdate()->where('term_id', $term->id)->whereNotNull('student_id')->find($id) ?? throw Refused::because(Message::of('letter.gone'), 'letters');
                $student = $letter->student;
                if ($letter->sent_at === null && $student !== null && ($this->mail)($student, Words::of(Message::of('mail.letter.subject', term: $term->title, school: $this->school->get()->name)), $letter->text)) {
                    $letter->update(['sent_at' => now()]);
                }

                return $letter;
            });
        }

        return $sent;
    }
}
