<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\HomeWeek;
use App\Actions\PersonalLinks;
use App\Actions\ReadPractice;
use App\Actions\ReadStudent;
use App\Http\Data\BeatData;
use App\Http\Data\CellData;
use App\Http\Data\FootingData;
use App\Http\Data\FormData;
use App\Http\Data\HomeFocusData;
use App\Http\Data\HomeNoteData;
use App\Http\Data\HomeNotesData;
use App\Http\Data\LinePointData;
use App\Http\Data\LinkData;
use App\Http\Data\MineData;
use App\Http\Data\MineFormData;
use App\Http\Data\MinePassageData;
use App\Http\Data\MineWeekData;
use App\Http\Data\SheetPassageData;
use App\Http\Data\StudentHomeData;
use App\Http\Data\StudentQuestionData;
use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\HomePractice;
use App\Models\LinkDevice;
use App\Models\PlacedForm;
use App\Models\Student;
use App\Models\StudentQuestion;
use DateTimeImmutable;
use Gorvan\Core\Form\Time\BreathBeat;
use Gorvan\Core\Form\Time\BreathScript;
use Gorvan\Core\Form\Track\FloorTrack;
use Gorvan\Core\Form\Track\Footing;
use Gorvan\Core\Lesson\CutScope;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Practice\SheetEntry;
use Gorvan\Core\Practice\SheetPassage;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Standing\StudentStanding;
use Illuminate\Database\Eloquent\Collection;

/** What passes between the class and the home: a student's own page, and what comes back from it. */
final class HomePages
{
    private const MOST = 60;

    public function __construct(private readonly CurrentSchool $school, private readonly ReadPractice $practice, private readonly ReadStudent $read, private readonly PersonalLinks $links)
    {
    }

    public function mine(Student $student): MineData
    {
        /** @var Collection<int, Group> $groups */
        $groups = $student->groups()->with('form.entries')->orderBy('name')->get();

        return new MineData(
            $student->id,
            $student->name,
            $this->school->get()->name,
            $this->school->today(),
            $this->school->get()->locale,
            array_values(array_filter($groups->map(fn (Group $group): ?MineWeekData => $this->week($student, $group))->all())),
            $this->notesOf($student->records()),
        );
    }

    /**
     * What came back from some students.
     *
     * @param  list<string>  $students
     */
    public function notesOf(array $students, ?string $since = null): HomeNotesData
    {
        $noted = HomePractice::with('student')->whereIn('student_id', $students)->whereNull('withdrawn_at');
        $asked = StudentQuestion::with('student')->whereIn('student_id', $students);
        if ($since !== null) {
            $noted->where('on', '>=', $since);
            $asked->whereNull('answer');
        }
        /** @var Collection<int, HomePractice> $practices */
        $practices = $noted->orderByDesc('on')->orderByDesc('at')->limit(self::MOST)->get();
        /** @var Collection<int, StudentQuestion> $questions */
        $questions = $asked->orderByRaw('answer is null desc')->orderByDesc('at')->limit(self::MOST)->get();

        return new HomeNotesData(array_values($practices->map(HomeNoteData::of(...))->all()), array_values($questions->map(StudentQuestionData::of(...))->all()));
    }

    public function home(Student $student): StudentHomeData
    {
        $link = $this->links->openOf($student);
        $last = $link === null ? null : LinkDevice::where('link_id', $link->id)->max('last_at');

        return new StudentHomeData(
            $link === null ? null : new LinkData($link->made_at->toRfc3339String(), $link->expires_at->toRfc3339String(), $this->links->devices($link), $last === null ? null : (new DateTimeImmutable($last))->format(DATE_RFC3339)),
            $this->notesOf($student->records()),
        );
    }

    private function week(Student $student, Group $group): ?MineWeekData
    {
        $week = ($this->practice)($group, [$student->id]);
        $sheet = $week->sheets[0] ?? null;
        if ($week === null || $sheet === null) {
            return null;
        }

        return new MineWeekData(
            $group->name, $week->on, $week->next, array_map(Day::text(...), $sheet->sheet->days), $sheet->sheet->minutes(),
            array_map(HomeFocusData::of(...), $week->focus),
            array_map(static fn (SheetPassage $one): MinePassageData => self::passage($one, $week), $sheet->sheet->passages),
            array_map(fn (string $course): MineFormData => $this->form($student, $group, $course, $week->forms[$course]), array_map(strval(...), array_keys($week->forms))),
        );
    }

    private static function passage(SheetPassage $one, HomeWeek $week): MinePassageData
    {
        $placed = $week->forms[$one->course];
        $footings = array_slice(FloorTrack::of($placed->form)->footings, $one->passage->from - 1, $one->passage->to - $one->passage->from + 2);

        return new MinePassageData(
            SheetPassageData::of($one, $placed->form),
            array_map(static fn (BreathBeat $beat): BeatData => new BeatData($beat->position, $beat->breath, $beat->seconds, $beat->cue, $beat->time), (new BreathScript)->of($placed->form, $one->passage->from, $one->passage->to)),
            array_map(static fn (Footing $at): FootingData => FootingData::of($at), $footings),
            array_map(static fn (SheetEntry $entry): string => $placed->idAt($entry->position), $one->entries),
        );
    }

    private function form(Student $student, Group $group, string $course, PlacedForm $placed): MineFormData
    {
        $today = $this->school->today();
        $standing = StudentStanding::of($placed->form, $this->read->tracks($student, $placed, $today), Day::number($today), $this->school->get()->memory());

        return new MineFormData(
            $course,
            FormData::of($placed->form, (new LessonCutter)->kept($placed->form, CutScope::whole($placed->form), []), $placed->ids),
            array_map(CellData::of(...), $standing->noted()),
            array_map(LinePointData::of(...), $this->read->line($student, $group, $placed)),
        );
    }
}
