<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\TermEnd;
use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\KeptLesson;
use App\Models\Letter;
use App\Models\Student;
use App\Models\Term;
use Gorvan\Core\Standing\KeepingResult;
use Gorvan\Core\Standing\TermResult;

/** A term at its end: what it came to, and what was written of it. */
final readonly class TermEndData
{
    /**
     * @param  string  $on  the day it is about
     * @param  int  $classes  that the term had
     * @param  list<TermEndCourse>  $courses
     * @param  list<string>  $keeps  principles that hold for at least half of them
     * @param  string|null  $carry  the principle most of them carry on with
     * @param  list<TermEndStudent>  $students  by name
     */
    public function __construct(
        public TermSummary $term,
        public string $on,
        public string $school,
        public int $classes,
        public LetterWordsData $words,
        public array $courses,
        public array $keeps,
        public ?string $carry,
        public array $students,
        public ?LetterData $groupLetter, )
    {
    }

    public static function of(Term $term, TermEnd $end, CurrentSchool $school): self
    {
        $letters = Letter::where('term_id', $term->id)->get()->keyBy(static fn (Letter $one): string => (string) $one->student_id);
        $written = KeptLesson::whereIn('course_id', $end->courses->pluck('id'))->toBase()->selectRaw('course_id, count(*) as lessons')->groupBy('course_id')->pluck('lessons', 'course_id');
        $letter = static fn (string $of): ?LetterData => isset($letters[$of]) ? LetterData::of($letters[$of], $school->zone()) : null;

        $together = KeepingResult::together(array_values($end->principles));

        return new self(
            TermSummary::find($term->id, $end->courses),
            $end->on,
            $school->get()->name,
            $end->classes,
            LetterWordsData::of($school->get()),
            array_values($end->courses->map(static fn (Course $one): TermEndCourse => TermEndCourse::of($one, $end->groups[$one->id], (int) ($written[$one->id] ?? 0)))->all()),
            $end->titled($together->holds),
            $end->titles[$together->carry] ?? null,
            array_map(static fn (Student $one): TermEndStudent => new TermEndStudent(
                $one->id, $one->name, $one->email !== null, $end->came[$one->id]->came(), $end->came[$one->id]->classes(), $end->titled($end->principles[$one->id]->holds ?? []), $end->titles[$end->principles[$one->id]->carry ?? ''] ?? null,
                array_map(static fn (string $course, TermResult $result): TermResultData => TermResultData::of($course, $result), array_keys($end->results[$one->id]), $end->results[$one->id]),
                $letter($one->id),
            ), $end->students),
            $letter(''),
        );
    }
}
