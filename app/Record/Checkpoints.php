<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\CurrentSchool;
use App\Models\Student;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Memory\Track;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Support;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * What each student's record came to by a day that will not change any more, so that a standing is not replayed from the
 * first class each time. A checkpoint holds while the student's epoch is the one it was made in: whatever changes a day
 * gone by (a late fact, a withdrawal, an entry's sides, the school's zone, a merge) makes the epoch grow.
 *
 * A reader that saves what it computed while somebody writes saves it under the epoch it read first, so it is thrown away.
 */
final class Checkpoints
{
    /** A checkpoint ends two days ago: what is noted of today or yesterday never touches one. */
    public const DAYS_AGO = 2;

    /** More subjects than these are not looked for one by one: somebody's whole checkpoint is read sooner. */
    private const FEW = 40;

    /** What few tracks have, as one value: of a class of forty some thousand rows are read. JSON writes a float to the last bit. */
    private const IN_CLASS = 'case when has_home then json_build_array(class_stability, class_difficulty, class_last, class_updates)::text end as in_class';

    public function __construct(private readonly CurrentSchool $school)
    {
    }

    /**
     * @param  list<string>  $students
     * @return array<string, array{epoch: int, through: int|null}> by student; `through` null where no checkpoint holds
     */
    public function of(array $students): array
    {
        $rows = DB::table('students')->leftJoin('checkpoints', static fn ($join) => $join->on('checkpoints.school_id', 'students.school_id')
            ->on('checkpoints.student_id', 'students.id')->on('checkpoints.epoch', 'students.record_epoch'))
            ->where('students.school_id', $this->school->id())->whereRaw('students.id = any(?::uuid[])', [FactSource::list($students)])
            ->get(['students.id', 'students.record_epoch', 'checkpoints.through']);
        $found = [];
        foreach ($rows as $row) {
            $found[$row->id] = ['epoch' => $row->record_epoch, 'through' => $row->through];
        }

        return $found;
    }

    /**
     * @param  list<string>  $students  whose checkpoints hold
     * @param  list<string>|null  $subjects  null for all
     * @return array<string, array<string, Tracks>> by student and subject
     */
    public function tracks(array $students, ?array $subjects): array
    {
        $tracks = array_fill_keys($students, []);
        $asked = $subjects === null ? null : array_fill_keys($subjects, true);
        $rows = DB::table('checkpoint_tracks')->where('school_id', $this->school->id())->whereRaw('student_id = any(?::uuid[])', [FactSource::list($students)])
            ->when($subjects !== null && count($subjects) <= self::FEW, static fn ($some) => $some->whereIn('subject', $subjects ?? []))
            ->get(['student_id', 'subject', 'side', 'level', 'stability', 'difficulty', 'last', 'updates', 'was_taught', DB::raw(self::IN_CLASS)]);
        foreach ($rows as $row) {
            if ($asked !== null && ! isset($asked[$row->subject])) {
                continue;
            }
            $track = self::track($row);
            if ($row->side === '') {
                $tracks[$row->student_id][$row->subject] = Tracks::whole($track);

                continue;
            }
            $known = $tracks[$row->student_id][$row->subject] ?? Tracks::none();
            $tracks[$row->student_id][$row->subject] = $row->side === 'left' ? Tracks::sides($track, $known->right) : Tracks::sides($known->left, $track);
        }

        return $tracks;
    }

    /**
     * Keeps what some records came to, for those whose epoch is still the one it was computed in.
     *
     * @param  array<string, array<string, Tracks>>  $tracks  by student and subject
     * @param  array<string, int>  $epochs  by student
     * @param  bool  $isWhole  whether these are all subjects of the students, and not only those that changed
     */
    public function save(array $tracks, array $epochs, int $through, bool $isWhole): void
    {
        if ($tracks === []) {
            return;
        }
        DB::transaction(function () use ($tracks, $epochs, $through, $isWhole): void {
            // Whoever is being written to now, or read and saved by somebody else, is left to them.
            $free = Student::whereKey(array_keys($tracks))->orderBy('id')->lock('for no key update skip locked')->toBase()->pluck('record_epoch', 'id')->all();
            $same = array_filter(array_keys($tracks), static fn (string $student): bool => ($free[$student] ?? null) === $epochs[$student]);
            if ($isWhole) {
                DB::table('checkpoint_tracks')->where('school_id', $this->school->id())->whereIn('student_id', $same)->delete();
            }
            $rows = $heads = [];
            foreach ($same as $student) {
                $heads[] = ['school_id' => $this->school->id(), 'student_id' => $student, 'through' => $through, 'epoch' => $epochs[$student]];
                foreach ($tracks[$student] as $subject => $of) {
                    foreach ($of->areApart() ? ['left' => $of->left, 'right' => $of->right] : ['' => $of->whole] as $side => $track) {
                        if ($track !== null) {
                            $rows[] = $this->row($student, (string) $subject, $side, $track);
                        }
                    }
                    if ($of->areApart() && ! $isWhole) {
                        DB::table('checkpoint_tracks')->where(['school_id' => $this->school->id(), 'student_id' => $student, 'subject' => $subject, 'side' => ''])->delete();
                    }
                }
            }
            foreach (array_chunk($rows, 1000) as $chunk) {
                DB::table('checkpoint_tracks')->upsert($chunk, ['school_id', 'student_id', 'subject', 'side']);
            }
            DB::table('checkpoints')->upsert($heads, ['school_id', 'student_id']);
        });
    }

    /**
     * Takes the rows of everyone whose record is written to, in one order: two who write to the same people wait for each
     * other instead of both for ever.
     *
     * @param  iterable<string>|null  $students  null for everyone in the school
     */
    public function hold(?iterable $students): void
    {
        $rows = Student::query();
        if ($students !== null) {
            $rows->readWith($students);
        }
        $rows->orderBy('id')->lock('for no key update')->toBase()->pluck('id');
    }

    /**
     * What these students' records came to no longer holds.
     *
     * @param  iterable<string>|null  $students  null for everyone in the school
     */
    public function discard(?iterable $students = null): void
    {
        $this->hold($students);
        $rows = Student::query();
        if ($students !== null) {
            $rows->readWith($students);
        }
        $rows->toBase()->update(['record_epoch' => DB::raw('record_epoch + 1')]);
    }

    /** Whether a fact of a day can be part of a checkpoint, now or before anybody sees it. */
    public function mayHold(string $on): bool
    {
        return $on < $this->school->today();
    }

    private static function track(stdClass $row): Track
    {
        $level = $row->level === null ? null : (str_starts_with($row->subject, 'principle:') ? Keeping::from($row->level) : Support::from($row->level));
        $state = $row->stability === null ? null : new MemoryState((float) $row->stability, (float) $row->difficulty);
        if ($row->in_class === null) {
            return new Track($level, $state, $row->last, $row->updates, null, $row->was_taught);
        }
        [$stability, $difficulty, $last, $updates] = json_decode($row->in_class, true, 2, JSON_THROW_ON_ERROR);

        return new Track($level, $state, $row->last, $row->updates, new Track($level, $stability === null ? null : new MemoryState((float) $stability, (float) $difficulty), $last, (int) $updates, null, $row->was_taught), $row->was_taught);
    }

    /** @return array<string, mixed> */
    private function row(string $student, string $subject, string $side, Track $track): array
    {
        // JSON writes a float so that it comes back to the last bit; PDO would not.
        $exact = static fn (?float $value): ?string => $value === null ? null : json_encode($value, JSON_THROW_ON_ERROR);
        $class = $track->withoutHome;

        return [
            'school_id' => $this->school->id(), 'student_id' => $student, 'subject' => $subject, 'side' => $side,
            'level' => $track->level?->value, 'stability' => $exact($track->state?->stability), 'difficulty' => $exact($track->state?->difficulty),
            'last' => $track->last, 'updates' => $track->updates, 'was_taught' => $track->wasTaught, 'has_home' => $class !== null,
            'class_stability' => $exact($class?->state?->stability), 'class_difficulty' => $exact($class?->state?->difficulty),
            'class_last' => $class?->last, 'class_updates' => $class?->updates,
        ];
    }
}
