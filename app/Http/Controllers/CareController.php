<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepConsideration;
use App\Actions\ReadCare;
use App\Actions\Refused;
use App\Care\Requests\SentConsideration;
use App\Http\Data\ConsiderationData;
use App\Http\Data\StudentReasonsData;
use App\Models\Consideration;
use App\Models\CurrentSchool;
use App\Models\Meeting;
use App\Models\Student;
use App\Shared\Description\Operation;
use Gorvan\Core\Care\StudentConsideration;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** What a teacher plans around, and why somebody does something otherwise tonight: for those who may know. */
final class CareController extends Controller
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[Operation('considerations', 'What is planned around', [ConsiderationData::class])]
    public function index(Student $student): JsonResponse
    {
        $today = $this->school->today();

        return self::unkept(Consideration::where('student_id', $student->id)->orderBy('created_at')->orderBy('id')->get()->map(static fn (Consideration $one): ConsiderationData => ConsiderationData::of($one, $today))->all());
    }

    /** An answer that no browser writes down. */
    private static function unkept(mixed $data): JsonResponse
    {
        return (new JsonResponse($data))->header('Cache-Control', 'no-store, private');
    }

    #[Operation('keepConsideration', 'Kept', status: 204, mayConflict: true)]
    public function keep(SentConsideration $sent, Student $student, string $consideration, KeepConsideration $keep): Response
    {
        if (! Str::isUuid($consideration)) {
            throw Refused::because(Message::of('care.id'), 'id');
        }
        $noted = StudentConsideration::of($sent->what, $sent->side, $sent->since, $sent->until, $sent->note);
        $keep($student, strtolower($consideration), $noted, static fn (StudentConsideration $is) => self::unlessChanged($sent->was, self::fields($is), self::fields($noted)));

        return response()->noContent();
    }

    /** @return array<string, string|null> */
    private static function fields(StudentConsideration $of): array
    {
        return ['what' => $of->what->value, 'side' => $of->side?->value, 'since' => $of->since, 'until' => $of->until, 'note' => $of->note];
    }

    #[Operation('removeConsideration', 'Gone')]
    public function remove(Student $student, string $consideration): Response
    {
        Str::isUuid($consideration) && Consideration::where('student_id', $student->id)->whereKey($consideration)->delete();

        return response()->noContent();
    }

    #[Operation('careReasons', 'Who is careful of what, and why', [StudentReasonsData::class])]
    public function reasons(Meeting $meeting, ReadCare $care): JsonResponse
    {
        $forms = $meeting->term->forms();

        return self::unkept(StudentReasonsData::all($care($meeting, $forms), $care->names($meeting), $forms, $this->school->get()->warmUps()));
    }
}
