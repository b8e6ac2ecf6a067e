<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\Letter;
use App\Models\LoggedClass;
use App\Models\Term;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Keeps a letter under the id the page made: the same sent twice is one, and what somebody else wrote meanwhile is not lost. */
final class KeepLetter
{
    /** @param  int  $version  of the letter it was written on; 0 for a new one */
    public function __invoke(Term $term, string $id, ?string $student, string $text, int $version): Letter
    {
        return DB::transaction(function () use ($term, $id, $student, $text, $version): Letter {
            Term::lockForUpdate()->findOrFail($term->id);
            $row = Letter::find($id);
            if ($row === null) {
                return $this->made($term, $id, $student, $text);
            }
            if ($row->term_id !== $term->id || $row->student_id !== $student) {
                throw Refused::conflict(Message::of('letter.reused'), 'id');
            }
            $isSame = $row->text === $text;
            if ($row->version !== $version && ! ($isSame && $row->version === $version + 1)) {
                throw Refused::conflict(Message::of('letter.changed'), 'version');
            }
            if (! $isSame) {
                $row->update(['text' => $text, 'version' => $version + 1, 'sent_at' => null]);
            }

            return $row->refresh();
        });
    }

    private function made(Term $term, string $id, ?string $student, string $text): Letter
    {
        if ($student !== null && ! $this->isOf($term, $student)) {
            throw Refused::because(Message::of('letter.student'), 'student');
        }
        if (Letter::where('term_id', $term->id)->where('student_id', $student)->exists()) {
            throw Refused::conflict(Message::of('letter.changed'), 'version');
        }
        $row = new Letter;
        $row->forceFill(['id' => $id, 'term_id' => $term->id, 'student_id' => $student, 'text' => $text, 'version' => 1])->save();

        return $row->refresh();
    }

    /** Whether somebody is in the group, or was in one of the term's classes. */
    private function isOf(Term $term, string $student): bool
    {
        return Group::findOrFail($term->group_id)->students()->where('students.id', $student)->exists()
            || LoggedClass::standing()->whereIn('meeting_id', $term->meetings()->select('id'))->whereRaw('students @> array[?::uuid]', [$student])->exists();
    }
}
