<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Student;
use App\Models\Term;
use Gorvan\Core\Reading\Message;

/** Who comes to a group changed: its terms that are not over are planned again. */
final class ReplanGroup
{
    /** More names than this are a number of people. */
    private const MOST_NAMES = 3;

    public function __construct(private readonly CurrentSchool $school, private readonly AskForPlan $ask)
    {
    }

    /** @param  list<Student>  $students */
    public function because(string $group, string $code, array $students): void
    {
        if ($students === []) {
            return;
        }
        $names = array_map(static fn (Student $student): string => $student->name, array_slice($students, 0, self::MOST_NAMES));
        $more = count($students) - count($names);
        $this->termsOf($group, Message::of($code, names: [...$names, ...($more > 0 ? [Message::of('cause.more', count: $more)] : [])]));
    }

    /** Something was said about the group itself. */
    public function asked(string $group, string $code): void
    {
        $this->termsOf($group, Message::of($code));
    }

    private function termsOf(string $group, Message $cause): void
    {
        foreach (Term::where('group_id', $group)->where('ends_on', '>=', $this->school->today())->orderBy('id')->get() as $term) {
            ($this->ask)($term, $cause);
        }
    }
}
