<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Entry;
use App\Models\Group;
use App\Models\LoggedClass;
use App\Models\PlacedForm;
use App\Models\Student;
use App\Record\FactSource;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Record\Fact;
use Gorvan\Core\Record\Subject;
use Gorvan\Core\Standing\RecallCurve;
use Gorvan\Core\Standing\StudentLine;

/** Reads one student's record over time. */
final class ReadStudent
{
    /** So many classes are drawn, the latest: more than a line of this width shows apart. */
    private const MOST_CLASSES = 120;

    public function __construct(private readonly CurrentSchool $school, private readonly FactSource $facts, private readonly ReadStandings $standings)
    {
    }

    /** @return array<string, Tracks> by the entry's id in the form */
    public function tracks(Student $student, PlacedForm $form, string $on): array
    {
        return $this->standings->tracks($form, [$student->id], $on)[$student->id];
    }

    /** @return list<StudentLine> by the classes of a group, up to today */
    public function line(Student $student, Group $group, PlacedForm $form): array
    {
        $today = $this->school->today();
        $days = LoggedClass::standing()->where('group_id', $group->id)->whereNotNull('meeting_id')->where('on', '<=', $today)
            ->orderByDesc('on')->limit(self::MOST_CLASSES)->toBase()->pluck('on')->map(static fn (string $on): int => Day::number($on))->all();
        $days = array_values(array_unique([...array_reverse($days), Day::number($today)]));

        return StudentLine::over($form->form, $this->of($student), static fn (string $key): ?string => $form->keyOf($key), $days, $this->school->get()->memory());
    }

    public function curve(Student $student, Entry $entry, ?Side $side): RecallCurve
    {
        $key = Subject::entry($entry->id)->key();
        $own = array_values(array_filter($this->of($student), static fn (Fact $fact): bool => $fact->subject?->key() === $key));

        return RecallCurve::of($own, $side, Day::number($this->school->today()), $this->school->get()->memory());
    }

    /** @return list<Fact> that stand, up to today */
    private function of(Student $student): array
    {
        return $this->facts->of([$student->id], null, Day::number($this->school->today()))[$student->id];
    }
}
