<?php

declare(strict_types=1);

use App\Actions\PacedCourse;
use App\Models\Course;
use App\Models\Meeting;
use App\Models\Student;
use Gorvan\Core\Term\LessonKind;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T19:10:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->meetings = $this->meetings($this->term);
    $this->meeting = $this->meetings[2];
    $this->actingAs($this->user);
    $this->students = $this->inside($this->user->school, fn () => Student::orderBy('name')->pluck('id')->all());
    $this->entries = array_column($this->getJson("/api/forms/{$this->form->id}")->json('entries'), 'id');
    $this->url = "/api/meetings/{$this->meeting->id}";
    $this->log = fn (int $number, array $change = []): string => $this->logged($this->meetings[$number], $this->user, $change);
    $this->note = fn (array $note) => $this->putJson("$this->url/attendance", ['attendance' => [$this->students[0] => $note]]);
    $this->ada = fn (): array => $this->getJson($this->url)->json('attendance')[$this->students[0]];
});

test('of what two devices note the later stands, in whatever order it arrives', function () {
    ($this->note)(['isHere' => false, 'at' => '2026-01-20T19:05:00+01:00'])->assertNoContent();
    ($this->note)(['isHere' => true, 'isCareful' => true, 'late' => 5, 'at' => '2026-01-20T19:04:00+01:00'])->assertNoContent();
    expect(($this->ada)())->toMatchArray(['isHere' => false, 'isCareful' => false, 'late' => null]);
    ($this->note)(['isHere' => true, 'isCareful' => true, 'late' => 5, 'left' => 50, 'at' => '2026-01-20T19:06:00+01:00'])->assertNoContent();
    expect(($this->ada)())->toMatchArray(['isHere' => true, 'isCareful' => true, 'late' => 5, 'left' => 50]);
});

test('a device whose clock runs fast does not silence the others', function () {
    ($this->note)(['isHere' => false, 'at' => '2026-01-25T19:05:00+01:00'])->assertNoContent();
    $this->clockAt('2026-01-20T19:20:00+01:00');
    ($this->note)(['isHere' => true, 'at' => '2026-01-20T19:19:00+01:00'])->assertNoContent();
    expect(($this->ada)()['isHere'])->toBeTrue();
});

test('minutes that cannot be are refused', function (array $note) {
    ($this->note)(['isHere' => true, ...$note])->assertUnprocessable();
})->with([[['late' => -1]], [['left' => 1441]], [['late' => 'soon']], [['at' => '2026-01-20T19:05:00']]]);

test('a guest is there once however often sent, is marked, and stands in the log', function () {
    $guest = ['id' => (string) Str::uuid(), 'name' => 'Una', 'isFirstTime' => true, 'at' => '2026-01-20T19:02:00+01:00'];
    $this->postJson("$this->url/guests", $guest)->assertNoContent();
    $this->postJson("$this->url/guests", $guest)->assertNoContent();
    $page = $this->getJson($this->url)->json();
    expect(array_column($page['students'], 'name'))->toBe(['Ada', 'Bo', 'Cy', 'Una'])->and($page['guests'])->toBe([$guest['id']])
        ->and($page['attendance'][$guest['id']])->toMatchArray(['isHere' => true, 'isFirstTime' => true]);
    $marked = $this->postJson("$this->url/marks", ['marks' => [$this->mark($guest['id'], $this->entries[0])]])->assertOk()->json();
    expect(array_column($marked, 'name'))->toBe(['Una']);
    $this->putJson("$this->url/attendance", ['attendance' => [$guest['id'] => ['isHere' => true, 'isCareful' => true]]])->assertNoContent();
    $this->postJson("$this->url/log", $this->asPlanned($this->meeting, ['guests' => [['id' => $guest['id'], 'name' => 'Una', 'first_time' => true]], 'careful' => [$guest['id']]]))->assertNoContent();
    expect($this->getJson($this->url)->json("attendance.{$guest['id']}"))->toMatchArray(['isHere' => true, 'isCareful' => true, 'isFirstTime' => true])
        ->and($this->getJson("/api/groups/{$this->group->id}")->json('students'))->toHaveCount(3);
    $this->postJson("$this->url/guests", $guest)->assertNoContent(); // sent again after the log: nothing to do
    $this->postJson("$this->url/guests", [...$guest, 'id' => (string) Str::uuid()])->assertConflict();
});

test('an id that is somebody else’s makes no guest', function () {
    $this->postJson("$this->url/guests", ['id' => $this->students[0], 'name' => 'Una', 'isFirstTime' => false, 'at' => '2026-01-20T19:02:00+01:00'])->assertConflict();
    expect($this->getJson($this->url)->json('students'))->toHaveCount(3);
});

test('what one person did is not taken as another’s who is signed in now', function () {
    $this->withHeader('X-Gorvan-Person', (string) Str::uuid())->postJson("$this->url/marks", ['marks' => [$this->mark($this->students[0], $this->entries[0])]])->assertUnauthorized();
    $this->withHeader('X-Gorvan-Person', $this->user->id)->postJson("$this->url/marks", ['marks' => [$this->mark($this->students[0], $this->entries[0])]])->assertOk();
});

test('a class says whom to look at, and where it may be stopped; a mark settles it', function () {
    ($this->log)(0, ['did' => [['what' => 'taught', 'entries' => ['e01', 'e02', 'e03']]]]);
    ($this->log)(1, ['did' => [['what' => 'taught', 'entries' => ['e04']]], 'present' => [$this->students[0], $this->students[1]]]);
    $class = fn (): array => $this->getJson("$this->url/class")->assertOk()->json();
    $first = $class();
    expect(array_column($first['watch'], 'why'))->toBe(['back', 'never_marked', 'never_marked'])->and($first['shown'])->toBe(5)
        ->and($first['watch'][1]['since'])->toBeNull()->and($first['watch'][1]['recall'])->toBeGreaterThan(0.5);
    $this->postJson("$this->url/marks", ['marks' => [$this->mark($this->students[0], $this->entries[0])]])->assertOk();
    $again = $class();
    expect(collect($again['watch'])->firstWhere('studentId', $this->students[0]))->toMatchArray(['why' => 'unsure', 'since' => 0])
        ->and(end($again['watch'])['studentId'])->toBe($this->students[0]);
    $known = [1, 2, 3, 4];
    $lesson = $this->getJson($this->url)->json('meeting.lesson');
    expect($first['stops'])->toHaveCount(12)->and($first['stops'])->toBe($class()['stops'])
        ->and(array_diff(array_column($first['stops'], 'position'), $known))->toBe([])
        ->and(array_intersect(array_column($first['stops'], 'position'), range($lesson['from'], $lesson['to'])))->toBe([]);
    expect(array_column($first['cards'][0]['cards'], 'position'))->toContain($lesson['from']);
});

test('the cards of a class, and what is otherwise where one turns, come to what the cards of the form say both ways', function () {
    $this->postJson("/api/forms/{$this->form->id}/edits", ['base' => 1, 'edits' => [
        ['op' => 'set', 'id' => 'e02', 'fields' => ['side' => 'left', 'turn' => -90, 'travel' => [1, 1], 'cues' => ['to the {L}'], 'checks' => ['{R} knee over the toes'], 'cautions' => [['for' => 'knee', 'do' => 'smaller']]]],
    ]])->assertOk();
    $cards = $this->getJson("$this->url/class")->assertOk()->json('cards.0');
    $form = fn (string $view): array => $this->getJson("/api/forms/{$this->form->id}/cards?from=1&to=8&view=$view")->assertOk()->json();
    expect($cards['cards'])->toBe($form('facing'))
        ->and(array_map(fn (array $card, array $turned): array => array_replace($card, $turned), $cards['cards'], $cards['turned']))->toBe($form('same'))
        ->and($cards['turned'][1]['own'])->not->toBe($cards['cards'][1]['own']);
});

test('a class says where everyone stands in its other forms too, for a device without a network', function () {
    $other = $this->inside($this->user->school, fn () => app(App\Actions\SaveForm::class)(app(App\Actions\ReadForm::class)("# Old set\n1. One\n2. Two\n")->form));
    $this->postJson("/api/terms/{$this->term->id}/courses", ['form' => $other->id, 'approach' => 'piece', 'share' => 0.3])->assertCreated();
    $entries = array_column($this->getJson("/api/forms/$other->id")->json('entries'), 'id');
    $this->postJson("$this->url/marks", ['marks' => [$this->mark($this->students[0], $entries[1], 'Cued'), $this->mark($this->students[0], $this->entries[0])]])->assertOk();
    $stood = $this->getJson("$this->url/class")->assertOk()->json('stood');
    expect(array_unique(array_column($stood, 'courseId')))->toBe([$this->getJson("/api/terms/{$this->term->id}")->json('courses.1.id')])
        ->and(array_column($stood, 'studentId'))->toEqualCanonicalizing($this->students);
    $cells = collect($stood)->firstWhere('studentId', $this->students[0])['cells'];
    expect($cells)->toHaveCount(1)->and(self::cell($cells[0]))->toMatchArray(['position' => 2, 'support' => 'Cued', 'isMet' => true]);
});

test('nobody goes three classes unseen without being named (common practice)', function () {
    $this->postJson("/api/meetings/{$this->meetings[0]->id}/marks", ['marks' => array_map(fn (string $one) => $this->mark($one, $this->entries[0]), $this->students)])->assertOk();
    foreach ([0, 1, 2, 3] as $number) {
        $this->clockAt($this->meetings[$number]->on.'T21:00:00+01:00');
        ($this->log)($number, ['did' => [['what' => 'taught', 'entries' => [sprintf('e%02d', $number + 1)]]], ...($number === 2 ? ['present' => [$this->students[0], $this->students[1]]] : [])]);
    }
    $this->clockAt($this->meetings[4]->on.'T18:00:00+01:00');
    $watch = collect($this->getJson("/api/meetings/{$this->meetings[4]->id}/class")->json('watch'))->keyBy('studentId');
    // Marked at the first class, then there three times; one was away once.
    expect($watch[$this->students[0]])->toMatchArray(['why' => 'long_unseen', 'since' => 3])
        ->and($watch[$this->students[2]])->toMatchArray(['why' => 'unsure', 'since' => 2]);
});

test('whoever is back comes first, with what they lack of tonight; a guest who lacks it too does not', function () {
    ($this->log)(0, ['did' => [['what' => 'taught', 'entries' => ['e01', 'e02']]]]);
    ($this->log)(1, ['did' => [['what' => 'taught', 'entries' => ['e03', 'e04']]], 'present' => [$this->students[0], $this->students[1]]]);
    $this->postJson("$this->url/guests", ['id' => (string) Str::uuid(), 'name' => 'Una', 'isFirstTime' => true, 'at' => '2026-01-20T19:02:00+01:00'])->assertNoContent();
    $watch = $this->getJson("$this->url/class")->json('watch');
    expect($watch)->toHaveCount(3)
        ->and($watch[0])->toMatchArray(['studentId' => $this->students[2], 'why' => 'back', 'away' => 1, 'recall' => null])
        ->and($watch[0]['passage']['from'])->toBeGreaterThan(2)
        ->and(array_column($watch, 'why'))->toBe(['back', 'never_marked', 'never_marked']);
});

test('a guest on a first evening is not on the list of those to look at', function () {
    ($this->log)(0, ['did' => [['what' => 'taught', 'entries' => ['e01', 'e02']]]]);
    $this->postJson("$this->url/guests", ['id' => (string) Str::uuid(), 'name' => 'Una', 'isFirstTime' => true, 'at' => '2026-01-20T19:02:00+01:00'])->assertNoContent();
    expect($this->getJson("$this->url/class")->json('watch'))->toHaveCount(3);
});

test('what a class did hold can be read again, as it was sent', function () {
    expect($this->getJson("$this->url/log")->assertOk()->json('log'))->toBeNull();
    $id = ($this->log)(2, ['note' => 'wet floor', 'did' => [['what' => 'shown', 'entries' => ['e01'], 'minutes' => 4, 'note' => 'rough shape only']]]);
    expect($this->getJson("$this->url/log")->json('log'))->toMatchArray(['id' => $id, 'note' => 'wet floor'])
        ->and($this->getJson("$this->url/log")->json('log.did.0'))->toMatchArray(['what' => 'shown', 'entries' => ['e01'], 'note' => 'rough shape only']);
});

test('what was only shown is exposure: it is still to be taught, and makes no memory', function () {
    ($this->log)(2, ['did' => [['what' => 'shown', 'entries' => ['e01', 'e02']]]]);
    $this->clockAt('2026-01-27T18:00:00+01:00');
    $page = $this->getJson("/api/meetings/{$this->meetings[3]->id}")->json();
    expect($page['taught'])->toBe([])->and($page['meeting']['lesson']['from'])->toBe(1)->and($page['students'][0]['cells'])->toBe([]);
});

test('what goes first next time comes first: taught once more, or given next', function () {
    ($this->log)(0, ['did' => [['what' => 'taught', 'entries' => ['e01', 'e02', 'e03']]]]);
    ($this->log)(2, ['did' => [['what' => 'taught', 'entries' => ['e04', 'e05']]], 'first_next' => ['e02', 'e03']]);
    $this->clockAt('2026-01-27T18:00:00+01:00');
    $reviews = fn (int $number): array => $this->getJson("/api/meetings/{$this->meetings[$number]->id}")->json('meeting.review');
    expect($reviews(3)[0])->toMatchArray(['from' => 2, 'to' => 3, 'isFirstNext' => true])
        ->and(array_filter($reviews(4), fn (array $one) => $one['isFirstNext']))->toBe([]);
    ($this->log)(3, ['did' => [['what' => 'reviewed', 'entries' => ['e02']]], 'first_next' => ['e08']]);
    $this->clockAt('2026-02-03T18:00:00+01:00');
    $next = collect($this->getJson("/api/terms/{$this->term->id}")->json('meetings'))->first(fn (array $row) => $row['isOpen'] && $row['lesson'] !== null);
    expect($next['lesson']['from'])->toBeLessThanOrEqual(8)->and($next['lesson']['to'])->toBeGreaterThanOrEqual(8);
});

test('minutes really taken move what a lesson takes, and can be forgotten', function () {
    $pace = fn (): array => $this->getJson("/api/terms/{$this->term->id}")->json('courses.0.paces.0');
    expect($pace())->toEqual(['kind' => 'new', 'usual' => 6, 'minutes' => 6, 'lessons' => 0]);
    $course = $this->getJson("/api/terms/{$this->term->id}")->json('courses.0');
    $inCourse = fn (): array => $this->getJson("/api/forms/{$course['form']['id']}?course={$course['id']}")->assertOk()->json();
    $form = $inCourse();
    $load = array_sum(array_column(array_slice($form['entries'], 0, 2), 'load'));
    $before = array_sum(array_column(array_column($form['lessons'], 'rounds'), 0) === [] ? [] : array_map(fn (array $one) => $one['rounds'][0]['minutes'], $form['lessons']));
    ($this->log)(0, ['did' => [['what' => 'taught', 'entries' => ['e01', 'e02'], 'minutes' => 40]]]);
    expect($pace())->toMatchArray(['lessons' => 1])->and($pace()['minutes'])->toEqualWithDelta((min(60, 40 / $load) + 2 * 6) / 3, 1e-9);
    $after = array_sum(array_map(fn (array $one) => $one['rounds'][0]['minutes'], $inCourse()['lessons']));
    expect($after)->toBeGreaterThan($before);
    // Given again it is given in detail; that is another round.
    ($this->log)(1, ['did' => [['what' => 'taught', 'entries' => ['e01', 'e02'], 'minutes' => 10]]]);
    expect($pace()['lessons'])->toBe(1)->and($this->inside($this->user->school, function (): int {
        $row = Course::with('term.group', 'form.entries')->firstOrFail();

        return app(PacedCourse::class)($row, $row->form->placed())->paces[LessonKind::Detail->value]->lessons;
    }))->toBe(1);
    $this->clockAt('2026-01-20T21:00:00+01:00');
    $this->postJson("/api/groups/{$this->group->id}/pace")->assertNoContent();
    expect($pace())->toMatchArray(['minutes' => 6, 'lessons' => 0]);
});

test('a class that did not say its minutes teaches nothing of the pace', function () {
    ($this->log)(0, ['did' => [['what' => 'taught', 'entries' => ['e01', 'e02']]]]);
    expect($this->getJson("/api/terms/{$this->term->id}")->json('courses.0.paces.0.lessons'))->toBe(0);
});

test('the class book finds by day, movement, number and word, and nothing that was withdrawn', function () {
    ($this->log)(0, ['did' => [['what' => 'taught', 'entries' => ['e01', 'e02']]], 'note' => 'wet floor, 100 % slow']);
    $gone = ($this->log)(1, ['did' => [['what' => 'taught', 'entries' => ['e03']]], 'note' => 'gone']);
    ($this->log)(1, ['did' => [['what' => 'shown', 'entries' => ['e03'], 'note' => 'in rough shape']], 'replaces' => $gone, 'guests' => [['id' => (string) Str::uuid(), 'name' => 'Una Webb']]]);
    $find = fn (string $what): array => array_column($this->getJson("/api/groups/{$this->group->id}/book?find=".rawurlencode($what))->assertOk()->json('classes'), 'on');
    $title = $this->getJson("/api/forms/{$this->form->id}")->json('entries.0.title');
    expect($find(''))->toBe(['2026-01-13', '2026-01-06'])
        ->and($find('2026-01-13'))->toBe(['2026-01-13'])->and($find('2026'))->toHaveCount(2)
        ->and($find('WET'))->toBe(['2026-01-06'])->and($find('100 %'))->toBe(['2026-01-06'])->and($find('rough'))->toBe(['2026-01-13'])
        ->and($find('webb'))->toBe(['2026-01-13'])
        ->and($find($title))->toContain('2026-01-06')
        ->and($find('gone'))->toBe([])->and($find('%'))->toBe(['2026-01-06'])->and($find("'\\\"{"))->toBe([]);
    $row = $this->getJson("/api/groups/{$this->group->id}/book?find=rough")->json('classes.0');
    expect($row)->toMatchArray(['isCorrected' => true, 'present' => 4, 'guests' => ['Una Webb']])->and($row['did'][0])->toMatchArray(['what' => 'shown', 'note' => 'in rough shape']);
});

test('the class book says what lay apart as it lay, and in which order it was run through', function () {
    ($this->log)(0, ['did' => [['what' => 'taught', 'entries' => ['e01', 'e02', 'e04']], ['what' => 'run_through', 'entries' => ['e01', 'e02'], 'order' => 'backwards']]]);
    $entries = array_column($this->getJson("/api/forms/{$this->form->id}")->json('entries'), null, 'key');
    $called = fn (string $key): string => ltrim("{$entries[$key]['number']} {$entries[$key]['title']}");
    $did = $this->getJson("/api/groups/{$this->group->id}/book")->json('classes.0.did');
    expect($did[0]['stretches'])->toBe([['first' => $called('e01'), 'last' => $called('e02')], ['first' => $called('e04'), 'last' => null]])
        ->and($did[0]['order'])->toBeNull()->and($did[1]['order'])->toBe('backwards');
});

test('the class book goes on page by page, each class once', function () {
    foreach (range(0, 2) as $number) {
        ($this->log)($number, ['did' => [['what' => 'taught', 'entries' => ['e01']]]]);
    }
    $template = $this->inside($this->user->school, fn () => Meeting::findOrFail($this->meetings[0]->id));
    $this->inside($this->user->school, function () use ($template): void {
        for ($day = 1; $day <= 22; $day++) {
            $on = sprintf('2025-03-%02d', $day);
            $meeting = Meeting::create([...$template->only(['term_id', 'minutes', 'state']), 'on' => $on, 'starts_at' => "$on 19:00:00+01"]);
            $this->logged($meeting, $this->user, ['did' => [['what' => 'taught', 'entries' => ['e02']]]]);
        }
    });
    $url = "/api/groups/{$this->group->id}/book";
    $first = $this->getJson($url)->json();
    $second = $this->getJson("$url?before={$first['before']}")->json();
    $days = array_column([...$first['classes'], ...$second['classes']], 'on');
    expect($first['classes'])->toHaveCount(20)->and($second['before'])->toBeNull()->and($days)->toHaveCount(25)->and(array_unique($days))->toHaveCount(25)
        ->and($days)->toBe(array_reverse((function () use ($days) {
            sort($days);

            return $days;
        })()));
});

test('today names the next class of every group, for the device to keep', function () {
    $coming = $this->getJson('/api/today')->json('coming');
    expect($coming)->toHaveCount(1)->and($coming[0])->toMatchArray(['meetingId' => $this->meeting->id, 'on' => '2026-01-20'])
        ->and($coming[0]['courses'][0])->toMatchArray(['formId' => $this->form->id]);
    $this->logged($this->meeting, $this->user);
    expect($this->getJson('/api/today')->json('coming.0.meetingId'))->toBe($this->meetings[3]->id);
    // A group that meets often is kept with the whole week: its hall may have no network.
    $this->inside($this->user->school, fn () => collect(['2026-01-22', '2026-01-24', '2026-01-28'])->each(fn (string $on) => $this->meetings[4]->replicate()->fill(['id' => (string) Str::uuid(), 'on' => $on, 'starts_at' => "$on 19:00:00+01:00"])->save()));
    expect(array_column($this->getJson('/api/today')->json('coming'), 'on'))->toBe(['2026-01-22', '2026-01-24']);
});

test('three classes of a week in a hall without a network, sent on Sunday, stand on their days', function () {
    $days = ['2026-01-20', '2026-01-22', '2026-01-24'];
    $meetings = [$this->meeting];
    foreach (array_slice($days, 1) as $on) {
        $meetings[] = $this->inside($this->user->school, fn () => tap($this->meetings[4]->replicate()->fill(['id' => (string) Str::uuid(), 'on' => $on, 'starts_at' => "$on 19:00:00+01:00"]))->save());
    }
    $this->clockAt('2026-01-25T11:00:00+01:00');
    foreach ($meetings as $nth => $meeting) {
        $url = "/api/meetings/{$this->inside($this->user->school, fn () => App\Models\Meeting::where('on', $days[$nth])->firstOrFail()->id)}";
        $mark = $this->mark($this->students[0], $this->entries[$nth], at: "{$days[$nth]}T19:30:00+01:00");
        $log = ['format' => 'gorvan.log/1', 'id' => (string) Str::ulid(), 'on' => $days[$nth], 'made_at' => "{$days[$nth]}T20:05:00+01:00", 'minutes' => 60, 'present' => $this->students, 'did' => [['what' => 'taught', 'entries' => [['e01', 'e02', 'e03'][$nth]]]]];
        // The network is cut in the middle of it: all of it is sent once more.
        foreach ([1, 2] as $_) {
            $this->postJson("$url/marks", ['marks' => [$mark]])->assertSuccessful();
            $this->postJson("$url/log", $log)->assertSuccessful();
        }
    }
    $record = $this->getJson("/api/students/{$this->students[0]}/record")->assertOk()->json();
    expect(array_map(static fn (array $one): string => substr($one['at'], 0, 10), $record['marks']))->toEqualCanonicalizing($days);
    $book = $this->getJson("/api/groups/{$this->group->id}/book")->json('classes');
    expect(array_column($book, 'on'))->toBe(array_reverse($days));
});
