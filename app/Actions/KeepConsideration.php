<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Consideration;
use App\Models\Student;
use Gorvan\Core\Care\StudentConsideration;
use Gorvan\Core\Reading\Message;

/** Notes something to plan around, under the id the page made, or says it anew. */
final class KeepConsideration
{
    /** More than this of one person is a file, and belongs with a clinician. */
    private const MOST = 30;

    /** @param  (callable(StudentConsideration): void)|null  $look  at what is there, before it is said anew */
    public function __invoke(Student $student, string $id, StudentConsideration $noted, ?callable $look = null): void
    {
        // Sent several times at once, the first one makes it and the others say it anew.
        Student::whereKey($student->id)->lock('for no key update')->toBase()->value('id');
        $row = Consideration::find($id);
        if ($row !== null && $row->student_id !== $student->id) {
            throw Refused::conflict(Message::of('care.reused'), 'id');
        }
        if ($row === null && Consideration::where('student_id', $student->id)->count() >= self::MOST) {
            throw Refused::because(Message::of('care.too_many', most: self::MOST), 'what');
        }
        $is = $look === null ? null : $row?->noted();
        if ($look !== null && $is !== null) {
            $look($is);
        }
        $document = Consideration::closed($noted);
        $row === null
            ? (new Consideration)->forceFill(['id' => $id, 'student_id' => $student->id, 'document' => $document])->save()
            : $row->update(['document' => $document]);
    }
}
