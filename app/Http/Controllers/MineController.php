<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\NoteHomePractice;
use App\Actions\PersonalLinks;
use App\Actions\Refused;
use App\Home\Requests\AskedQuestion;
use App\Home\Requests\NotedPractice;
use App\Home\Requests\OpenedLink;
use App\Http\Data\MineData;
use App\Http\HomePages;
use App\Http\Middleware\OpenPersonalLink;
use App\Models\HomePractice;
use App\Models\Student;
use App\Models\StudentQuestion;
use App\Shared\Description\Operation;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Cookie;

/** A student's own page, behind a personal link. */
final class MineController extends Controller
{
    private const MOST_QUESTIONS = 10;

    /** Links that open nothing, from one address within a minute. */
    private const MOST_WRONG = 10;

    #[Operation('openMine', 'Opened on this device', status: 204)]
    public function open(Request $request, OpenedLink $sent, PersonalLinks $links): Response
    {
        $opened = $links->open((string) $sent->token);
        // A class shares one address: whoever guesses there keeps nobody from the link they were given.
        if ($opened === null) {
            $by = "mine|{$request->ip()}";
            abort_if(RateLimiter::tooManyAttempts($by, self::MOST_WRONG), 429);
            RateLimiter::hit($by);
            throw Refused::forbidden(Message::of('home.closed'));
        }
        [$key, $link] = $opened;

        return response()->noContent()->withCookie(new Cookie(OpenPersonalLink::COOKIE, $key, $link->expires_at, '/mine', null, $request->isSecure(), true, false, Cookie::SAMESITE_STRICT));
    }

    #[Operation('mine', 'All that is the student’s own', MineData::class)]
    public function show(Request $request, HomePages $pages): JsonResponse
    {
        return new JsonResponse($pages->mine($this->student($request)));
    }

    #[Operation('notePractice', 'Noted', status: 204, mayConflict: true)]
    public function practised(Request $request, NotedPractice $sent, string $id, NoteHomePractice $note): Response
    {
        $note($this->student($request), $this->id($id), $sent->on, $sent->at, $sent->minutes, $sent->fromMemory, $sent->entries);

        return response()->noContent();
    }

    #[Operation('takeBackPractice', 'Taken back')]
    public function takeBack(Request $request, string $id, NoteHomePractice $note): Response
    {
        $student = $this->student($request);
        $found = HomePractice::where('student_id', $student->id)->find($this->id($id));
        if ($found !== null) {
            $note->takeBack($found, $student);
        }

        return response()->noContent();
    }

    #[Operation('askTeacher', 'Asked', status: 204, mayConflict: true)]
    public function ask(Request $request, AskedQuestion $sent, string $id): Response
    {
        $student = $this->student($request);
        $known = StudentQuestion::find($this->id($id));
        if ($known !== null && $known->student_id !== $student->id) {
            throw Refused::conflict(Message::of('home.reused'), 'id');
        }
        if ($known === null) {
            if (StudentQuestion::where('student_id', $student->id)->where('received_at', '>', now()->subDay())->count() >= self::MOST_QUESTIONS) {
                throw Refused::because(Message::of('home.too_many_questions', most: self::MOST_QUESTIONS));
            }
            // Two tabs may send the same question at once: the database takes the first.
            StudentQuestion::insertOrIgnore(['school_id' => $student->school_id, 'id' => $id, 'student_id' => $student->id, 'text' => $sent->text, 'at' => $sent->at->format('Y-m-d H:i:s.uP'), 'received_at' => now()->format('Y-m-d H:i:s.uP')]);
        }

        return response()->noContent();
    }

    private function id(string $id): string
    {
        return Str::isUuid($id) ? $id : throw Refused::because(Message::of('home.id'), 'id');
    }

    private function student(Request $request): Student
    {
        $student = $request->attributes->get('student');
        abort_unless($student instanceof Student, 401);

        return $student;
    }
}
