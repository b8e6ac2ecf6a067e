<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Actions\ChoosePrinciples;
use App\Actions\FillGroup;
use App\Actions\FoundSchool;
use App\Actions\GiveLink;
use App\Actions\KeepConsideration;
use App\Actions\KeepLesson;
use App\Actions\KeepLetter;
use App\Actions\LayTerm;
use App\Actions\LogClass;
use App\Actions\NewCourse;
use App\Actions\NewMark;
use App\Actions\Noted;
use App\Actions\NoteHomePractice;
use App\Actions\PersonalLinks;
use App\Actions\PlanTerm;
use App\Actions\ReadForm;
use App\Actions\ReadLessons;
use App\Actions\RecordMarks;
use App\Actions\SaveForm;
use App\Actions\SavePrinciples;
use App\Actions\SayTaughtBefore;
use App\Actions\TakeAttendance;
use App\Models\CurrentSchool;
use App\Models\DrillStep;
use App\Models\Form;
use App\Models\Group;
use App\Models\Meeting;
use App\Models\PlacedForm;
use App\Models\PrincipleSet;
use App\Models\Role;
use App\Models\Student;
use App\Models\StudentQuestion;
use App\Models\Term;
use App\Models\User;
use DateTimeImmutable;
use DateTimeZone;
use Gorvan\Core\Care\BodySide;
use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Care\StudentConsideration;
use Gorvan\Core\Form\CommonError;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\Content\Drill;
use Gorvan\Core\Lesson\Content\PartnerDrill;
use Gorvan\Core\Lesson\Content\PartnerStep;
use Gorvan\Core\Lesson\Content\TeachingKind;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use Gorvan\Core\Principle\Bite;
use Gorvan\Core\Principle\Bites;
use Gorvan\Core\Principle\PrincipleFile;
use Gorvan\Core\Record\ClassLog;
use Gorvan\Core\Record\Doing;
use Gorvan\Core\Record\DoingKind;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\PlannedFocus;
use Gorvan\Core\Term\PlannedReview;
use Gorvan\Core\Term\Showing;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * An invented school in an invented town, two thirds through its term, with a meeting tonight. Everything is made by
 * the Actions the pages use, on the days it would have happened; nothing is drawn by chance.
 */
final class DemoSchool
{
    public const PASSWORD = 'reeds-at-dusk';

    public const OWNER = 'ottilie@lantern-quay.example';

    public const INSTRUCTOR = 'bram@lantern-quay.example';

    public const ZONE = 'Europe/London';

    /** What of the long form is shown: its first section. */
    private const SHOWN = 17;

    /** What the third group knew of it before, and keeps alive; and what that has of its minutes. */
    private const KEPT = 39;

    private const KEPT_SHARE = 0.4;

    /** The class of the evening group that went otherwise than planned, from the first, 0. */
    private const OTHERWISE = 6;

    private const EVENING = [
        'Anwen T.' => Profile::Steady, 'Bastian O.' => Profile::Steady, 'Corisande V.' => Profile::Quick,
        'Dunstan P.' => Profile::NeedsCues, 'Elowen M.' => Profile::Steady, 'Fennick R.' => Profile::AwayForAMonth,
        'Giselle A.' => Profile::Steady, 'Hartwin J.' => Profile::NeedsCues, 'Isaura K.' => Profile::Quick,
        'Jocasta L.' => Profile::CameLate, 'Kenelm S.' => Profile::Steady, 'Lunette B.' => Profile::CameLate,
        'Merrin D.' => Profile::AwayForAMonth, 'Nestor W.' => Profile::Steady, 'Orla F.' => Profile::Steady,
        'Piers N.' => Profile::NeedsCues,
    ];

    /** Invented notes: what, side, days since, days until, and what was said. */
    private const CONSIDERATIONS = [
        'Hartwin J.' => [['knee', 'left', 400, null, 'Old ski injury. No sinking below a high stool.']],
        'Isaura K.' => [['dizziness', null, 60, null, 'Came on with new tablets. Sits down when it starts.']],
        'Merrin D.' => [['recent_surgery', null, 20, 25, 'Back in class with leave of the clinic. Asks each evening.']],
        'Elowen M.' => [['shoulder', 'right', 90, 40, null], ['knee', 'right', 500, -120, 'Over since the summer.']],
        'Tancred G.' => [['balance', null, 300, null, 'Near the wall, please.']],
    ];

    /** Who noted practice at home, and on which day before tonight with how many minutes; from memory where true. */
    private const AT_HOME = [
        'Anwen T.' => [[6, 10, true], [4, 8, true], [2, 10, true]], 'Corisande V.' => [[5, 15, true]],
        'Elowen M.' => [[6, 5, false], [3, 10, false]], 'Giselle A.' => [[1, 10, true]], 'Merrin D.' => [[4, 5, false]],
    ];

    /** Who has no address for mail; everyone else of the evening has one. */
    private const WITHOUT_MAIL = ['Nestor W.', 'Piers N.'];

    /** How large some are beside the others. */
    private const SIZES = ['Bastian O.' => 'large', 'Corisande V.' => 'small', 'Giselle A.' => 'small', 'Kenelm S.' => 'large', 'Lunette B.' => 'small', 'Dunstan P.' => 'large'];

    /** What was asked from home; days before tonight, and the answer. */
    private const ASKED = [
        'Elowen M.' => [2, 'In “Part the reeds”, does the back foot turn before or after the hands open?', null],
        'Anwen T.' => [5, 'Is it right that the second Heron begins with the weight still on the left?', 'Yes. Shift first, then look up.'],
    ];

    private const MORNING = [
        'Quillon H.' => Profile::Steady, 'Rosamund E.' => Profile::Quick, 'Sorrel C.' => Profile::Steady,
        'Tancred G.' => Profile::NeedsCues, 'Undine Y.' => Profile::Steady, 'Viola Q.' => Profile::AwayForAMonth,
        'Wystan I.' => Profile::Steady, 'Xenia U.' => Profile::CameLate, 'Ysolde Z.' => Profile::Steady,
        'Zephyr X.' => Profile::Steady,
    ];

    /** They know the first half of the long form from before, and begin the lamps. */
    private const KEEPERS = [
        'Aldous B.' => Profile::Quick, 'Briony L.' => Profile::Steady, 'Caspian W.' => Profile::Steady, 'Delphine R.' => Profile::Quick, 'Emrys H.' => Profile::Steady,
    ];

    public function __construct(
        private readonly CurrentSchool $current,
        private readonly FoundSchool $found,
        private readonly ReadForm $read,
        private readonly SaveForm $save,
        private readonly FillGroup $fill,
        private readonly LayTerm $lay,
        private readonly TakeAttendance $attendance,
        private readonly RecordMarks $record,
        private readonly LogClass $log,
        private readonly SavePrinciples $savePrinciples,
        private readonly ChoosePrinciples $choose,
        private readonly KeepConsideration $consider,
        private readonly KeepLesson $keepLesson,
        private readonly ReadLessons $lessons,
        private readonly NoteHomePractice $note,
        private readonly PersonalLinks $links,
        private readonly GiveLink $give,
        private readonly KeepLetter $letter,
        private readonly SayTaughtBefore $before,
        private readonly PlanTerm $plan,
    ) {
    }

    /** @param  callable(string): void  $tell what is being done now */
    public function load(callable $tell, string $owner = self::OWNER, string $zone = self::ZONE): User
    {
        return DB::transaction(fn (): User => $this->made($tell, $owner, $zone));
    }

    /** @param  callable(string): void  $tell */
    private function made(callable $tell, string $email, string $zone): User
    {
        $owner = ($this->found)('Lantern Quay School', $zone, 'Ottilie Fenn', $email, self::PASSWORD, true);
        $instructor = $email === self::OWNER ? self::INSTRUCTOR : "second.$email";
        $this->current->during($owner->school, fn () => $owner->school->users()->create(['name' => 'Bram Sallow', 'email' => $instructor, 'password' => self::PASSWORD, 'role' => Role::Instructor]));
        $today = DateTimeImmutable::createFromInterface(now())->setTimezone(new DateTimeZone($zone))->setTime(0, 0);
        $this->current->during($owner->school, function () use ($owner, $today, $tell): void {
            $tell('the forms');
            $long = $this->form('marsh-lantern.json');
            $short = $this->form('nine-lamps.txt');
            $tell('the principles');
            $set = $this->principles($owner, $long);
            $this->write($long);
            $tell('the evening group and two thirds of its term');
            $showing = new Showing($today->modify('+28 days')->format('Y-m-d'), $long->placed()->form->at(self::SHOWN)->id);
            $this->group('Evening long form', 'Boat Hall', [
                new NewCourse($long, Approach::PieceByPiece, showing: $showing),
            ], self::EVENING, $owner, $today, '19:00', 75, $set);
            $tell('the morning group, which practises its set whole');
            $this->group('Morning lamps', 'Sail Loft', [new NewCourse($short, Approach::WholeSet)], self::MORNING, $owner, $today->modify('+2 days'), '10:00', 60);
            $tell('the keepers, who keep one form alive while they begin another');
            $kept = $long->placed()->form->countedIdsOf(new Passage(1, self::KEPT));
            $this->group('Keepers of the long form', 'Sail Loft', [
                new NewCourse($long, Approach::PieceByPiece, self::KEPT_SHARE, keeps: [$kept]),
                new NewCourse($short, Approach::PieceByPiece, 1 - self::KEPT_SHARE),
            ], self::KEEPERS, $owner, $today->modify('+4 days'), '11:00', 60, knew: self::KEPT);
        });

        return $owner;
    }

    private function form(string $file): Form
    {
        return ($this->save)(($this->read)((string) file_get_contents(__DIR__."/$file"))->form);
    }

    /**
     * @param  non-empty-list<NewCourse>  $courses
     * @param  array<string, Profile>  $roster
     */
    private function group(string $name, string $room, array $courses, array $roster, User $by, DateTimeImmutable $next, string $at, int $minutes, ?PrincipleSet $set = null, ?int $knew = null): void
    {
        $first = $next->modify('-63 days');
        $this->on($first->modify('-7 days'), function () use ($name, $room, $courses, $roster, $by, $next, $first, $at, $minutes, $set, $knew): void {
            $group = Group::create(['name' => $name, 'room' => $room, 'form_id' => $courses[0]->form->id]);
            if ($set !== null) {
                ($this->choose)($group, $set, 1);
            }
            $profiles = [];
            foreach (($this->fill)($group, array_keys($roster)) as $student) {
                $profiles[$student->id] = $roster[$student->name];
                $this->considerations($student, $next);
                if ($set !== null) {
                    $student->update(['email' => in_array($student->name, self::WITHOUT_MAIL, true) ? null : strtolower(Str::before($student->name, ' ')).'@lantern-quay.example', 'size' => self::SIZES[$student->name] ?? null]);
                }
            }
            if ($knew !== null) {
                ($this->before)($group, (string) Str::ulid(now()), [new Passage(1, $knew)], null, now()->toDateTimeImmutable(), $by);
            }
            $term = ($this->lay)($group, self::season($next), [
                'from' => $first->format('Y-m-d'),
                'to' => $first->modify('+97 days')->format('Y-m-d'),
                'pattern' => [['weekday' => $next->format('D'), 'at' => $at, 'minutes' => $minutes]],
                'closures' => [
                    ['from' => $next->modify('-29 days')->format('Y-m-d'), 'to' => $next->modify('-26 days')->format('Y-m-d')],
                    ['from' => $next->modify('+20 days')->format('Y-m-d'), 'to' => $next->modify('+22 days')->format('Y-m-d')],
                ],
            ], $courses);
            $scores = array_map(static fn (NewCourse $course): PlacedForm => $course->form->placed(), $courses);
            $this->hold($term, $profiles, $scores, $by, $next);
            $this->atHome($group, $scores[0], $next);
            if ($set !== null) {
                $this->withPartners($term, $profiles, $by, $next);
                ($this->letter)($term, (string) Str::uuid(), $group->students()->where('name', 'Anwen T.')->value('students.id'), "Dear Anwen,\n\nthe first stretch is yours now: it goes by itself, and it stays. Give the second Heron a little time at home; shift first, then look up.\n\nIt is good to have you here.\n\nOttilie Fenn, Lantern Quay School", 0);
            }
        });
    }

    /**
     * @param  array<string, Profile>  $profiles by student id
     * @param  non-empty-list<PlacedForm>  $scores  of the courses, in their order
     */
    private function hold(Term $term, array $profiles, array $scores, User $by, DateTimeImmutable $next): void
    {
        $looks = [];
        foreach ($term->meetings()->orderBy('starts_at')->get() as $number => $meeting) {
            if ($meeting->on >= $next->format('Y-m-d')) {
                break;
            }
            $weeksAgo = intdiv((int) (new DateTimeImmutable($meeting->on))->diff(new DateTimeImmutable($next->format('Y-m-d')))->days, 7);
            $end = DateTimeImmutable::createFromInterface($meeting->starts_at)->modify("+$meeting->minutes minutes");
            $this->on($end, function () use ($meeting, $profiles, $scores, $by, $weeksAgo, $number, $end, &$looks): void {
                $meeting = Meeting::findOrFail($meeting->id); // as planned by now, after the meetings before it
                $present = array_map(static fn (Profile $profile): bool => $profile->attends($weeksAgo), $profiles);
                ($this->attendance)($meeting, array_map(static fn (bool $is): Noted => new Noted($is, $end), $present), $by);
                $there = array_intersect_key($profiles, array_filter($present));
                $marks = [...$this->marks($meeting, $there, $scores[0], $number, $end, $looks), ...$this->keepings($meeting, $there, $number, $end, $looks)];
                if ($marks !== []) {
                    ($this->record)($meeting, $marks, $by);
                }
                $isOtherwise = $number === self::OTHERWISE && count($profiles) === count(self::EVENING);
                $log = $this->asPlanned($meeting, array_keys(array_filter($present)), $scores, $end);
                ($this->log)($meeting, $isOtherwise ? self::otherwise($log) : $log, $by);
                if ($isOtherwise) {
                    // What the next class holds follows from it; the worker comes only when all of this is written.
                    ($this->plan)(Term::findOrFail($meeting->term_id));
                }
            });
        }
    }

    /**
     * A teacher really sees about half of the class on one evening: every other student on a passage, turn about.
     *
     * @param  array<string, Profile>  $present
     * @param  array<string, int>  $looks  how often each student was seen on each entry
     * @return list<NewMark>
     */
    private function marks(Meeting $meeting, array $present, PlacedForm $score, int $number, DateTimeImmutable $at, array &$looks): array
    {
        $plan = $meeting->planned()?->courses[0] ?? null;
        $passages = [$plan?->given() ?? [], ...array_map(static fn (PlannedReview $one): array => $one->entries, $plan->review ?? [])];
        $marks = [];
        $place = 0;
        foreach ($present as $student => $profile) {
            $place++;
            foreach ($passages as $turn => $entries) {
                if (($place + $number + $turn) % 2 !== 0) {
                    continue;
                }
                foreach ($score->form->positionsOf($entries) as $position) {
                    if (! $score->form->at($position)->kind->countsInForm()) {
                        continue;
                    }
                    $look = $looks["$student $position"] = ($looks["$student $position"] ?? 0) + 1;
                    $marks[] = new NewMark((string) Str::ulid($at), $student, $score->idAt($position), $profile->seen($look), $at);
                }
            }
        }

        return $marks;
    }

    /**
     * Of the focus a teacher sees about a third of the class: every third student, turn about.
     *
     * @param  array<string, Profile>  $present
     * @param  array<string, int>  $looks
     * @return list<NewMark>
     */
    private function keepings(Meeting $meeting, array $present, int $number, DateTimeImmutable $at, array &$looks): array
    {
        $marks = [];
        $place = 0;
        foreach ($present as $student => $profile) {
            foreach (($place++ + $number) % 3 === 0 ? $meeting->planned()->focus ?? [] : [] as $focus) {
                $look = $looks["$student $focus->principle"] = ($looks["$student $focus->principle"] ?? 0) + 1;
                $marks[] = new NewMark((string) Str::ulid($at), $student, null, $profile->keeps($look), $at, principle: $focus->principle);
            }
        }

        return $marks;
    }

    /** What students noted and asked at home since the last class; those who did have a link. */
    private function atHome(Group $group, PlacedForm $score, DateTimeImmutable $next): void
    {
        $practised = array_slice($score->ids, 0, 8);
        /** @var \Illuminate\Database\Eloquent\Collection<int, Student> $students */
        $students = $group->students()->orderBy('name')->get();
        foreach ($students as $student) {
            foreach (self::AT_HOME[$student->name] ?? [] as [$days, $minutes, $fromMemory]) {
                $at = $next->modify("-$days days")->setTime(20, 10);
                $this->on($at, function () use ($student, $at, $minutes, $fromMemory, $practised): void {
                    $this->links->openOf($student) ?? ($this->give)($student, true);
                    ($this->note)($student, (string) Str::uuid(), $at->format('Y-m-d'), $at, $minutes, $fromMemory, $practised);
                });
            }
            if (isset(self::ASKED[$student->name])) {
                [$days, $text, $answer] = self::ASKED[$student->name];
                $at = $next->modify("-$days days")->setTime(20, 20);
                (new StudentQuestion)->forceFill(['id' => (string) Str::uuid(), 'student_id' => $student->id, 'text' => $text, 'at' => $at, 'received_at' => $at, 'answer' => $answer, 'answered_at' => $answer === null ? null : $at])->save();
            }
        }
    }

    /**
     * The first steps of the drill for two, seen of every third student in the last class.
     *
     * @param  array<string, Profile>  $profiles by student id
     */
    private function withPartners(Term $term, array $profiles, User $by, DateTimeImmutable $next): void
    {
        $meeting = Meeting::where('term_id', $term->id)->where('on', '<', $next->format('Y-m-d'))->orderByDesc('on')->firstOrFail();
        $at = DateTimeImmutable::createFromInterface($meeting->starts_at)->modify('+60 minutes');
        $step = DrillStep::where('key', 'touch')->firstOrFail()->id;
        $seen = array_keys(array_filter(array_values($profiles), static fn (int $nth): bool => $nth % 3 === 0, ARRAY_FILTER_USE_KEY));
        $students = array_keys($profiles);
        $this->on($at, fn () => ($this->record)($meeting, array_map(static fn (int $nth): NewMark => new NewMark((string) Str::ulid($at), $students[$nth], null, $profiles[$students[$nth]]->seen(2), $at, step: $step), $seen), $by));
    }

    /** Words for some lessons of the long form: one with what leads up to it, one with a partner. */
    private function write(Form $form): void
    {
        $placed = $form->placed();
        $lessons = ($this->lessons)($form, $placed, null);
        $one = $lessons[1]->entries;
        ($this->keepLesson)($form, null, new WrittenLesson(
            (string) Str::uuid(), $one, note: 'Bring the long sticks: they show where the hips go.', bite: 'The second side is not the first one turned round: the net is heavy already.',
            checks: ['the empty foot can be lifted without a sway'], errors: [new CommonError('the arms arrive before the waist', 'the waist leads, the arms are carried')],
            drills: [new Drill('shift', 'Shift and empty, six each side', $one[0]), new Drill('step', 'Step as if on glass', $one[count($one) - 1], ['shift'])],
        ), 0);
        $pair = $lessons[2]->entries;
        ($this->keepLesson)($form, null, new WrittenLesson(
            (string) Str::uuid(), $pair, TeachingKind::Partner, 'Hands that stick', note: 'After the form, not instead of it.',
            partner: new PartnerDrill($pair[0], 'wrist on wrist', [new PartnerStep('touch', 'the weight of a hand'), new PartnerStep('push', 'a slow push, answered by the waist'), new PartnerStep('free', 'a push from any side')], 4.0, PartnerDrill::usuallyNotFor()),
        ), 0);
    }

    private function considerations(Student $student, DateTimeImmutable $today): void
    {
        foreach (self::CONSIDERATIONS[$student->name] ?? [] as [$what, $side, $since, $until, $note]) {
            $noted = new StudentConsideration(
                Consideration::from($what),
                $side === null ? null : BodySide::from($side),
                $today->modify("-$since days")->format('Y-m-d'),
                $until === null ? null : $today->modify(sprintf('%+d days', $until))->format('Y-m-d'),
                $note,
            );
            ($this->consider)($student, (string) Str::uuid(), $noted);
        }
    }

    /** A set that ships, joined to a form by what its entries are: invented, as the form is. */
    private function principles(User $by, Form $form): PrincipleSet
    {
        $set = PrincipleFile::read((string) file_get_contents(dirname(__DIR__).'/principles/ten-three-families.json'))->set;
        $bites = [];
        foreach ($form->placed()->form->entries as $entry) {
            $shows = [
                'p01' => in_array($entry->kind, [EntryKind::Opening, EntryKind::Closing], true) ? 3 : 0,
                'p03' => $entry->mirrors === null ? 0 : 2,
                'p04' => abs($entry->turn ?? 0.0) >= 90 ? 3 : 0,
                'p05' => $entry->oneLeg === true ? 3 : (($entry->steps ?? 0) > 0 ? 1 : 0),
                'p06' => ($entry->steps ?? 0) >= 2 ? 2 : 0,
                'p07' => $entry->returns === null ? 0 : 2,
            ];
            foreach (array_filter($shows) as $principle => $strength) {
                $bites[] = new Bite($principle, $entry->id, $strength, $principle === 'p05' && $strength === 3 ? 'before the foot leaves the floor' : null);
            }
        }

        return ($this->savePrinciples)($set, $by, new Bites($bites), $form);
    }

    /**
     * The log of a class that went as planned.
     *
     * @param  list<string>  $present
     * @param  non-empty-list<PlacedForm>  $forms  of the courses, in their order
     */
    private function asPlanned(Meeting $meeting, array $present, array $forms, DateTimeImmutable $at): ClassLog
    {
        $plan = $meeting->planned();
        $did = [new Doing(DoingKind::WarmUp, minutes: (float) (($plan->boxes['settle'] ?? 0) + ($plan->boxes['warm_up'] ?? 0)))];
        $focus = array_map(static fn (PlannedFocus $one): string => $one->principle, $plan->focus ?? []);
        if ($focus !== []) {
            $did[] = new Doing(DoingKind::Focus, minutes: (float) ($plan->boxes['focus'] ?? 0), principles: $focus);
        }
        foreach ($plan->courses ?? [] as $n => $part) {
            $form = $forms[$n];
            $doing = static fn (DoingKind $what, array $entries, ?float $minutes, ?int $passes = null): array => $entries === [] ? [] : [new Doing($what, $form->id, array_values($entries), minutes: $minutes, passes: $passes)];
            array_push(
                $did,
                ...array_merge([], ...array_map(static fn (PlannedReview $one): array => $doing(DoingKind::Reviewed, $one->entries, $one->minutes, $one->passes), $part->review)),
                ...$doing(DoingKind::Reviewed, $part->recap, null),
                ...$doing(DoingKind::Taught, $form->form->countedIdsOf($form->form->passageOf($part->given())), null),
                ...$doing(DoingKind::RunThrough, $part->runThrough, null),
            );
        }

        return new ClassLog((string) Str::ulid($at), $meeting->id, $meeting->on, $at, (float) $meeting->minutes, $present, $did);
    }

    /** A class that came to half of its lesson, and says why. */
    private static function otherwise(ClassLog $log): ClassLog
    {
        $did = array_map(static fn (Doing $doing): Doing => $doing->what !== DoingKind::Taught || count($doing->entries) < 2 ? $doing : new Doing(
            $doing->what, $doing->form, array_slice($doing->entries, 0, intdiv(count($doing->entries) + 1, 2)), minutes: 24.0,
        ), $log->did);

        return new ClassLog($log->id, $log->meeting, $log->on, $log->madeAt, $log->minutes, $log->present, $did, note: 'The turn took the whole evening; the rest goes first next time.');
    }

    /** Does something on another day than today, as the clock of the application sees it. */
    private function on(DateTimeImmutable $at, callable $work): void
    {
        $before = Carbon::getTestNow();
        Carbon::setTestNow($at);
        try {
            $work();
        } finally {
            Carbon::setTestNow($before);
        }
    }

    private static function season(DateTimeImmutable $day): string
    {
        return match (intdiv((int) $day->format('n') % 12, 3)) {
            0 => 'Winter term',
            1 => 'Spring term',
            2 => 'Summer term',
            default => 'Autumn term',
        };
    }
}
