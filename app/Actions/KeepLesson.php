<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Form;
use App\Models\KeptLesson;
use Gorvan\Core\Lesson\Content\LeadUps;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Keeps what a teacher writes into a lesson, under the id the page made; the same sent twice is one. */
final class KeepLesson
{
    /** Of one form. */
    private const MOST = 600;

    public function __construct(private readonly KeepDrillSteps $steps, private readonly KeepOwnLessons $own)
    {
    }

    /**
     * @param  int  $version  of the lesson it was written on; 0 for a new one
     * @param  string|null  $usedFrom  the lesson it was made from
     *
     * @throws Refused|\Gorvan\Core\Reading\BadInput and nothing is changed
     */
    public function __invoke(Form $form, ?Course $course, WrittenLesson $lesson, int $version, ?string $usedFrom = null): KeptLesson
    {
        LeadUps::of($lesson->drills, $form->placed()->form);

        return DB::transaction(function () use ($form, $course, $lesson, $version, $usedFrom): KeptLesson {
            $form = Form::lockForUpdate()->findOrFail($form->id);
            $row = KeptLesson::find($lesson->id);
            // What is the form's is written on in every course, about the movements it was written about.
            if ($row !== null && $row->form_id === $form->id && $row->course_id === null && $course !== null) {
                [$course, $lesson] = [null, $lesson->with(['entries' => $row->written()->entries])];
            }
            // A copy is made for one course alone.
            if ($course?->takesLessons() === true && $row === null && $usedFrom === null) {
                $course = null;
            }
            if ($course === null) {
                $this->own->asTheyAre($form);
            }
            if ($row === null) {
                return $this->made($form, $course, $lesson, $usedFrom);
            }
            if ($row->form_id !== $form->id || $row->course_id !== $course?->id) {
                throw Refused::conflict(Message::of('lesson.reused'), 'id');
            }
            $isSame = json_encode(json_decode($row->document)) === $lesson->json();
            if ($row->version !== $version && ! ($isSame && $row->version === $version + 1)) {
                throw Refused::conflict(Message::of('lesson.changed'), 'version');
            }
            if (! $isSame || $row->form_version !== $form->version) {
                $row->update(['document' => $lesson->json(), 'version' => $version + 1, 'form_version' => $form->version]);
                ($this->steps)($row, $lesson->partner);
            }

            return $row->refresh();
        });
    }

    /** A copy for another course, as the lesson stands: also of entries that went meanwhile, which it then says itself. */
    public function copy(KeptLesson $lesson, Course $course, string $id): KeptLesson
    {
        return $this->created($lesson->form_id, $course->id, $lesson->written()->with(['id' => $id]), $lesson->id, $lesson->form_version);
    }

    private function made(Form $form, ?Course $course, WrittenLesson $lesson, ?string $usedFrom): KeptLesson
    {
        if (KeptLesson::where('form_id', $form->id)->count() >= self::MOST) {
            throw Refused::because(Message::of('lesson.too_many', most: self::MOST));
        }

        return $this->created($form->id, $course?->id, $lesson, $usedFrom, $form->version);
    }

    private function created(string $form, ?string $course, WrittenLesson $lesson, ?string $usedFrom, int $formVersion): KeptLesson
    {
        $row = new KeptLesson;
        $row->forceFill(['id' => $lesson->id, 'form_id' => $form, 'course_id' => $course, 'used_from' => $usedFrom, 'document' => $lesson->json(), 'version' => 1, 'form_version' => $formVersion])->save();
        ($this->steps)($row, $lesson->partner);

        return $row->refresh();
    }
}
