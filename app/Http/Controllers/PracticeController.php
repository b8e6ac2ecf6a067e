<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\GiveLink;
use App\Actions\PersonalLinks;
use App\Actions\ReadPractice;
use App\Actions\Refused;
use App\Home\Requests\NewLink;
use App\Home\Requests\NewLinks;
use App\Home\Requests\PracticeChoice;
use App\Home\Requests\TeachersAnswer;
use App\Http\Data\HomeNotesData;
use App\Http\Data\HomeWeekData;
use App\Http\Data\MadeLinkData;
use App\Http\Data\StudentHomeData;
use App\Http\HomePages;
use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Student;
use App\Models\StudentQuestion;
use App\Shared\Description\Operation;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Practice between classes, as a teacher has it: sheets, links, and what came back. */
final class PracticeController extends Controller
{
    /** How far back what came from home is shown beside a class, days. */
    private const BACK = 10;

    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[Operation('groupPractice', 'What everyone in a group takes home from the last class', HomeWeekData::class)]
    public function show(Group $group, ReadPractice $read): JsonResponse
    {
        return new JsonResponse(HomeWeekData::of($read($group) ?? throw Refused::because(Message::of('home.no_class'))));
    }

    #[Operation('sayPractice', 'Chosen anew', HomeWeekData::class, mayConflict: true)]
    public function say(PracticeChoice $sent, Group $group, ReadPractice $read): JsonResponse
    {
        $now = Group::lockForUpdate()->findOrFail($group->id);
        self::unlessChanged($sent->was, ['minutes' => ReadPractice::minutes($now), 'days' => ReadPractice::days($now)], ['minutes' => $sent->minutes, 'days' => $sent->days]);
        $group->update(['practice_minutes' => $sent->minutes, 'practice_days' => $sent->days]);

        return $this->show($group, $read);
    }

    #[Operation('groupHome', 'What came back from home, lately', HomeNotesData::class)]
    public function home(Group $group, HomePages $pages): JsonResponse
    {
        return new JsonResponse($pages->notesOf(array_values($group->students()->pluck('students.id')->all()), Day::text(Day::number($this->school->today()) - self::BACK)));
    }

    #[Operation('makeLinks', 'New links; earlier ones of the same students open nothing any more', [MadeLinkData::class], status: 201)]
    public function makeLinks(NewLinks $sent, Group $group, GiveLink $give): JsonResponse
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Student> $students */
        $students = $group->students()->whereIn('students.id', $sent->students)->orderBy('name')->get();
        if ($students->count() !== count($sent->students)) {
            throw Refused::because(Message::of('students.not_in_group'), 'students');
        }

        return new JsonResponse($students->map(static fn (Student $student): MadeLinkData => MadeLinkData::of($give($student, $sent->byMail)))->all(), 201);
    }

    #[Operation('studentHome', 'A student at home', StudentHomeData::class)]
    public function ofStudent(Student $student, HomePages $pages): JsonResponse
    {
        return new JsonResponse($pages->home($student));
    }

    #[Operation('makeLink', 'A new link; an earlier one opens nothing any more', MadeLinkData::class, status: 201)]
    public function makeLink(NewLink $sent, Student $student, GiveLink $give): JsonResponse
    {
        return new JsonResponse(MadeLinkData::of($give($student, $sent->byMail)), 201);
    }

    #[Operation('revokeLink', 'It opens nothing any more')]
    public function revokeLink(Student $student, PersonalLinks $links): Response
    {
        $links->revoke($student);

        return response()->noContent();
    }

    #[Operation('answerStudent', 'Answered, or the answer taken back', status: 204)]
    public function answer(TeachersAnswer $sent, StudentQuestion $studentQuestion): Response
    {
        $studentQuestion->update(['answer' => $sent->answer, 'answered_at' => $sent->answer === null ? null : now()]);

        return response()->noContent();
    }
}
