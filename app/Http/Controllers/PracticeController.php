<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\GiveLink;
use App\Actions\PersonalLinks;
use App\Actions\ReadPractice;
use App\Actions\Refused;
use App\Http\Data\HomeNotesData;
use App\Http\Data\HomeWeekData;
use App\Http\Data\MadeLinkData;
use App\Http\Data\StudentHomeData;
use App\Http\HomePages;
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Student;
use App\Models\StudentQuestion;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Practice between classes, as a teacher has it: sheets, links, and what came back. */
final class PracticeController extends Controller
{
    /** How far back what came from home is shown beside a class, days. */
    private const BACK = 10;

    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[Reads('/api/groups/{group}/practice', 'groupPractice', 'What everyone in a group takes home from the last class', HomeWeekData::class)]
    public function show(Group $group, ReadPractice $read): JsonResponse
    {
        return new JsonResponse(HomeWeekData::of($read($group) ?? throw Refused::because(Message::of('home.no_class'))));
    }

    #[Puts('/api/groups/{group}/practice', 'sayPractice', 'Chosen anew', HomeWeekData::class, takes: ['minutes' => 'number', 'days' => 'integer', 'was?' => ['minutes' => 'number', 'days' => 'integer']], mayConflict: true)]
    public function say(Request $request, Group $group, ReadPractice $read): JsonResponse
    {
        $given = $request->validate(['minutes' => ['required', 'numeric', 'min:1', 'max:120'], 'days' => ['required', 'integer', 'min:1', 'max:14']]);
        $now = Group::lockForUpdate()->findOrFail($group->id);
        self::unlessChanged($request->input('was'), ['minutes' => ReadPractice::minutes($now), 'days' => ReadPractice::days($now)], $given);
        $group->update(['practice_minutes' => (float) $given['minutes'], 'practice_days' => (int) $given['days']]);

        return $this->show($group, $read);
    }

    #[Reads('/api/groups/{group}/home', 'groupHome', 'What came back from home, lately', HomeNotesData::class)]
    public function home(Group $group, HomePages $pages): JsonResponse
    {
        return new JsonResponse($pages->notesOf(array_values($group->students()->pluck('students.id')->all()), Day::text(Day::number($this->school->today()) - self::BACK)));
    }

    #[Makes('/api/groups/{group}/links', 'makeLinks', 'New links; earlier ones of the same students open nothing any more', [MadeLinkData::class], takes: ['students' => ['string'], 'byMail?' => 'boolean'], status: 201, once: false)]
    public function makeLinks(Request $request, Group $group, GiveLink $give): JsonResponse
    {
        $given = $request->validate(['students' => ['required', 'array', 'min:1', 'max:500'], 'students.*' => ['uuid', 'distinct'], 'byMail' => ['boolean']]);
        /** @var \Illuminate\Database\Eloquent\Collection<int, Student> $students */
        $students = $group->students()->whereIn('students.id', $given['students'])->orderBy('name')->get();
        if ($students->count() !== count($given['students'])) {
            throw Refused::because(Message::of('students.not_in_group'), 'students');
        }

        return new JsonResponse($students->map(static fn (Student $student): MadeLinkData => MadeLinkData::of($give($student, (bool) ($given['byMail'] ?? false))))->all(), 201);
    }

    #[Reads('/api/students/{student}/home', 'studentHome', 'A student at home', StudentHomeData::class)]
    public function ofStudent(Student $student, HomePages $pages): JsonResponse
    {
        return new JsonResponse($pages->home($student));
    }

    #[Makes('/api/students/{student}/link', 'makeLink', 'A new link; an earlier one opens nothing any more', MadeLinkData::class, takes: ['byMail?' => 'boolean'], status: 201, once: false)]
    public function makeLink(Request $request, Student $student, GiveLink $give): JsonResponse
    {
        $given = $request->validate(['byMail' => ['boolean']]);

        return new JsonResponse(MadeLinkData::of($give($student, (bool) ($given['byMail'] ?? false))), 201);
    }

    #[Removes('/api/students/{student}/link', 'revokeLink', 'It opens nothing any more')]
    public function revokeLink(Student $student, PersonalLinks $links): Response
    {
        $links->revoke($student);

        return response()->noContent();
    }

    #[Puts('/api/student-questions/{studentQuestion}/answer', 'answerStudent', 'Answered, or the answer taken back', takes: ['answer' => 'string|null'], status: 204)]
    public function answer(Request $request, StudentQuestion $studentQuestion): Response
    {
        $given = $request->validate(['answer' => ['present', 'nullable', 'string', 'max:2000']]);
        $studentQuestion->update(['answer' => $given['answer'], 'answered_at' => $given['answer'] === null ? null : now()]);

        return response()->noContent();
    }
}
