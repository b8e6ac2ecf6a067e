<?php

declare(strict_types=1);

namespace Tests;

use App\Actions\FillGroup;
use App\Actions\FoundSchool;
use App\Actions\LayTerm;
use App\Actions\LogClass;
use App\Actions\NewCourse;
use App\Actions\ReadForm;
use App\Actions\SaveForm;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Group;
use App\Models\Meeting;
use App\Models\School;
use App\Models\Term;
use App\Models\User;
use App\Words;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Record\ClassLog;
use Gorvan\Core\Record\Support;
use Gorvan\Core\Term\Approach;
use Illuminate\Foundation\Testing\RefreshDatabaseState;
use Illuminate\Foundation\Testing\TestCase as Framework;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** What tests of the application share: a school made by the same Actions the pages use. */
abstract class TestCase extends Framework
{
    public const LIST = "# Short set\nAt the gate:\n1. Gather\n2. Heron (L)\n3. Heron (R)\n4. Part the reeds (L-R-L)\nOn the water:\n5. Turn\n6. Heron (L)\n7. Wade\n8. Rest\n";

    protected function setUp(): void
    {
        // Its tables are made by the role that owns them (bin/test), each runner's database a copy of one that is migrated.
        RefreshDatabaseState::$migrated = true;
        parent::setUp();
        Statements::listen();
        // The stateful API answers requests that come from its own pages.
        $this->withHeader('Referer', (string) config('app.url'));
    }

    protected function tearDown(): void
    {
        $nameless = Statements::nameless();
        parent::tearDown();
        self::assertSame([], $nameless, 'A statement on rows of schools names no school.');
    }

    /** Every JSON answer of the API is what its description says. */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null)
    {
        $answer = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        $wrong = DescribedAnswers::wrongWith(request()->route(), $method, $answer);
        self::assertNull($wrong, (string) $wrong);

        return $answer;
    }

    protected function clockAt(string $instant): void
    {
        Carbon::setTestNow(new Carbon($instant));
    }

    protected function found(string $name = 'Reed School'): User
    {
        return app(FoundSchool::class)($name, 'Europe/Berlin', 'Teacher', Str::slug($name).'@example.test', 'a long password');
    }

    /** Somebody more of a school. @param  array<string, mixed>  $as */
    protected function colleague(School $school, array $as): User
    {
        return $this->inside($school, static fn (): User => $school->users()->create($as));
    }

    /**
     * Works inside a school, as a command would.
     *
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    public function inside(School $school, callable $work): mixed
    {
        return app(CurrentSchool::class)->during($school, $work);
    }

    /**
     * A school with a form, a group of three, and a term of ten Tuesdays from 6 January 2026, 19:00.
     *
     * @return array{user: User, form: Form, group: Group, term: Term}
     */
    protected function school(string $name = 'Reed School', string $list = self::LIST): array
    {
        $user = $this->found($name);

        return $this->inside($user->school, function () use ($user, $list): array {
            $form = app(SaveForm::class)(app(ReadForm::class)($list)->form);
            $group = Group::create(['name' => 'Tuesdays', 'form_id' => $form->id]);
            app(FillGroup::class)($group, ['Ada', 'Bo', 'Cy']);
            $term = app(LayTerm::class)($group, 'Winter', [
                'from' => '2026-01-06',
                'to' => '2026-03-10',
                'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 60]],
                'closures' => [],
            ], [new NewCourse($form, Approach::PieceByPiece, lessonLoad: 3.0, spread: false)]);

            return ['user' => $user, 'form' => $form, 'group' => $group, 'term' => $term];
        });
    }

    protected function schoolOf(string $id): School
    {
        return app(CurrentSchool::class)->find($id) ?? throw new \LogicException('no such school');
    }

    /** @return list<Meeting> in order */
    protected function meetings(Term $term): array
    {
        return $this->inside($this->schoolOf($term->school_id), static fn (): array => $term->meetings()->orderBy('starts_at')->pluck('id')
            ->map(static fn (string $id): Meeting => Meeting::findOrFail($id))->all());
    }

    /**
     * A cell of an answer by its names (App\Http\Data\CellData).
     *
     * @return array{position: int, support: string|null, recall: float|null, holds: bool, isAssumed: bool, isMet: bool, left: string|null, right: string|null}
     */
    public static function cell(mixed $cell): array
    {
        [$position, $support, $recall, $is] = $packed = is_array($cell) ? $cell : json_decode(json_encode($cell, JSON_THROW_ON_ERROR), true);
        $name = static fn (?int $level): ?string => $level === null ? null : Support::from($level)->name;

        return [
            'position' => $position, 'support' => $name($support), 'recall' => $recall, 'holds' => ($is & 1) !== 0, 'isAssumed' => ($is & 2) !== 0, 'isMet' => ($is & 4) !== 0,
            'left' => $name($packed[4] ?? null), 'right' => $name($packed[5] ?? null),
        ];
    }

    /** A mark as a page sends it. @return array<string, string|null> */
    public function mark(string $student, string $entry, string $support = 'Alone', ?string $id = null, ?string $at = null): array
    {
        return ['id' => $id ?? (string) Str::ulid(), 'student' => $student, 'entry' => $entry, 'side' => null, 'support' => $support, 'at' => $at ?? now()->toRfc3339String()];
    }

    /**
     * The log of a class that went as planned, as a page sends it.
     *
     * @param  array<string, mixed>  $change
     * @return array<string, mixed>
     */
    public function asPlanned(Meeting $meeting, array $change = []): array
    {
        return $this->inside($this->schoolOf($meeting->school_id), function () use ($meeting, $change): array {
            $meeting = Meeting::findOrFail($meeting->id);
            $part = $meeting->planned()?->courses[0];
            $away = $meeting->attendances()->where('is_present', false)->pluck('student_id')->all();
            $doing = static fn (string $what, array $entries): array => $entries === [] ? [] : [['what' => $what, 'entries' => $entries]];

            return [...[
                'format' => 'gorvan.log/1', 'id' => (string) Str::ulid(), 'on' => $meeting->on, 'made_at' => now()->toRfc3339String(), 'minutes' => $meeting->minutes,
                'present' => array_values(array_diff($meeting->term->group->students()->pluck('students.id')->all(), $away)),
                'did' => [
                    ...array_merge([], ...array_map(static fn ($review): array => $doing('reviewed', $review->entries), $part->review ?? [])),
                    ...$doing('reviewed', $part->recap ?? []),
                    ...$doing('taught', $part?->given() ?? []),
                    ...$doing('run_through', $part->runThrough ?? []),
                ],
            ], ...$change];
        });
    }

    /** Logs a class as planned, as a command would. @param  array<string, mixed>  $change */
    public function logged(Meeting $meeting, User $by, array $change = []): string
    {
        $log = $this->asPlanned($meeting, $change);
        $this->inside($by->school, fn () => app(LogClass::class)(Meeting::findOrFail($meeting->id), ClassLog::read(JsonNode::parse(json_encode($log, JSON_THROW_ON_ERROR))), $by));

        return $log['id'];
    }

    /** The words of a refusal, as a page says them. */
    protected function said(TestResponse $answer): string
    {
        return Words::asSentence(Message::read(JsonNode::parse((string) $answer->getContent())));
    }
}
