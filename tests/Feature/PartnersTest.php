<?php

declare(strict_types=1);

use App\Actions\KeepConsideration;
use App\Actions\KeepLesson;
use App\Models\DrillStep;
use App\Models\Entry;
use App\Models\KeptLesson;
use App\Models\Role;
use App\Models\Student;
use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Care\StudentConsideration;
use Gorvan\Core\Lesson\Content\PartnerDrill;
use Gorvan\Core\Lesson\Content\PartnerStep;
use Gorvan\Core\Lesson\Content\TeachingKind;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T19:30:00+01:00');
    $this->made = $this->school();
    $this->school = $this->made['user']->school;
    $this->actingAs($this->made['user']);
    foreach (array_slice($this->meetings($this->made['term']), 0, 2) as $meeting) {
        $this->logged($meeting, $this->made['user']);
    }
    $this->meeting = $this->meetings($this->made['term'])[2];
    $this->lesson = (string) Str::uuid();
    $this->drill = fn (string $entry = 'e01', array $steps = ['touch' => 'a hand’s weight', 'push' => 'steady']) => new WrittenLesson(
        $this->lesson, ['e01', 'e02'], TeachingKind::Partner,
        partner: new PartnerDrill($entry, 'wrist on wrist', array_map(static fn (string $id, string $title): PartnerStep => new PartnerStep($id, $title), array_keys($steps), $steps), 3.0, PartnerDrill::usuallyNotFor()),
    );
    $this->keep = fn (WrittenLesson $lesson, int $version = 0) => $this->inside($this->school, fn () => app(KeepLesson::class)($this->made['form']->fresh(), null, $lesson, $version));
    ($this->keep)(($this->drill)());
    $this->class = fn () => $this->getJson("/api/meetings/{$this->meeting->id}/class")->assertOk()->json('partners');
    $this->students = $this->inside($this->school, fn () => Student::orderBy('name')->pluck('id', 'name')->all());
    $this->send = fn (array $mark) => $this->postJson("/api/meetings/{$this->meeting->id}/marks", ['marks' => [['id' => (string) Str::ulid(), 'student' => $this->students['Ada'], 'support' => 'Alone', 'at' => now()->toRfc3339String(), ...$mark]]]);
});

test('a class has the drills whose entry it has met, with a limit at the last step only', function () {
    [$drill] = ($this->class)();
    expect($drill['lesson'])->toBe($this->lesson)->and($drill['position'])->toBe(1)->and($drill['contact'])->toBe('wrist on wrist')
        ->and(array_column($drill['steps'], 'title'))->toBe(['a hand’s weight', 'steady'])->and(array_column($drill['steps'], 'limit'))->toEqual([null, 3]);
    // What the class has not met, and does not meet tonight, cannot be worked on with a partner.
    ($this->keep)(($this->drill)('e08'), 1);
    $this->clockAt('2026-01-05T12:00:00+01:00');
    $this->meeting = $this->meetings($this->made['term'])[0];
    expect(($this->class)())->toBe([]);
});

test('a lesson of the course takes the place of the form’s that it was made from', function () {
    $course = $this->inside($this->school, fn () => $this->made['term']->courses()->first()->id);
    $copy = (string) Str::uuid();
    $this->postJson("/api/lessons/$this->lesson/use", ['id' => $copy, 'course' => $course])->assertCreated();
    expect(array_column(($this->class)(), 'lesson'))->toBe([$copy]);
});

test('a step is marked on the ladder of movements, stands in the class and on the student’s page, and is taken back', function () {
    $step = ($this->class)()[0]['steps'][0]['id'];
    $id = (string) Str::ulid();
    $at = now()->toRfc3339String();
    ($this->send)(['id' => $id, 'step' => $step, 'at' => $at])->assertOk();
    ($this->send)(['id' => $id, 'step' => $step, 'at' => $at])->assertOk(); // sent again it is the same
    ($this->send)(['id' => $id, 'step' => ($this->class)()[0]['steps'][1]['id'], 'at' => $at])->assertConflict();
    expect($this->getJson("/api/meetings/{$this->meeting->id}")->json('marks'))->toHaveCount(1)
        ->and($this->getJson("/api/meetings/{$this->meeting->id}")->json('marks.0'))->toMatchArray(['stepId' => $step, 'entryId' => null, 'principleId' => null, 'support' => 'Alone']);
    $this->logged($this->meeting, $this->made['user']);
    $classes = $this->getJson("/api/students/{$this->students['Ada']}")->json('classes');
    expect($classes[0]['marks'])->toBe([['what' => 'a hand’s weight', 'side' => null, 'isPrinciple' => false, 'level' => 'Alone']]);
    expect($this->getJson("/api/students/{$this->students['Ada']}/record")->assertOk()->json('marks.0.of'))->toBe('a hand’s weight');
    $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => (string) Str::ulid(), 'of' => $id, 'at' => now()->toRfc3339String()]]])->assertNoContent();
    expect($this->getJson("/api/meetings/{$this->meeting->id}")->json('marks'))->toBe([]);
});

test('a step is kept without memory: it moves nobody’s standing, now or when the record is read anew', function () {
    $before = $this->getJson("/api/groups/{$this->made['group']->id}")->json('students');
    ($this->send)(['step' => ($this->class)()[0]['steps'][0]['id']])->assertOk();
    expect($this->getJson("/api/groups/{$this->made['group']->id}")->json('students'))->toEqual($before);
    $this->clockAt('2026-02-10T20:00:00+01:00'); // a checkpoint is made on the way, and read again
    $first = $this->getJson("/api/groups/{$this->made['group']->id}")->assertOk()->json('students');
    expect($this->getJson("/api/groups/{$this->made['group']->id}")->assertOk()->json('students'))->toEqual($first);
});

test('a mark of a step says nothing else, and names one of this term’s drills', function (callable $wrong, string $place) {
    $step = ($this->class)()[0]['steps'][0]['id'];
    expect(($this->send)($wrong($this, $step))->assertUnprocessable()->json('place'))->toBe($place);
})->with([
    'an entry beside it' => [fn ($test, $step) => ['step' => $step, 'entry' => $test->inside($test->school, fn () => Entry::first()->id)], 'marks.0.step'],
    'a step nobody knows' => [fn () => ['step' => (string) Str::uuid()], 'marks.0.step'],
    'a side' => [fn ($test, $step) => ['step' => $step, 'side' => 'left'], 'marks.0.side'],
    'a level of principles' => [fn ($test, $step) => ['step' => $step, 'support' => 'Throughout'], 'marks.0.support'],
    'nothing at all' => [fn () => [], 'marks.0.principle'],
]);

test('steps keep their marks when the lesson is written anew, and when it goes and comes back', function () {
    $step = ($this->class)()[0]['steps'][0]['id'];
    ($this->send)(['step' => $step])->assertOk();
    ($this->keep)(($this->drill)('e01', ['push' => 'steady', 'touch' => 'the weight of a hand']), 1);
    $steps = ($this->class)()[0]['steps'];
    expect($steps[1])->toMatchArray(['id' => $step, 'title' => 'the weight of a hand'])
        ->and($this->inside($this->school, fn () => DrillStep::count()))->toBe(2);
    $this->deleteJson("/api/lessons/$this->lesson")->assertNoContent();
    expect(($this->class)())->toBe([])->and($this->getJson("/api/meetings/{$this->meeting->id}")->json('marks.0.stepId'))->toBe($step);
    ($this->keep)(($this->drill)(), 0);
    expect(($this->class)()[0]['steps'][0]['id'])->toBe($step)->and($this->inside($this->school, fn () => KeptLesson::count()))->toBe(1);
});

test('who must not take part stands aside, and why is told nobody', function () {
    $this->inside($this->school, fn () => app(KeepConsideration::class)(Student::findOrFail($this->students['Ada']), (string) Str::uuid(), new StudentConsideration(Consideration::Neck, note: 'whiplash')));
    $this->putJson("/api/meetings/{$this->meeting->id}/attendance", ['attendance' => [$this->students['Bo'] => ['isHere' => true, 'isCareful' => true]]])->assertNoContent();
    $this->postJson("/api/meetings/{$this->meeting->id}/guests", ['id' => $first = (string) Str::uuid(), 'name' => 'Dov', 'isFirstTime' => true, 'at' => now()->toRfc3339String()])->assertNoContent();
    expect(($this->class)()[0]['aside'])->toEqualCanonicalizing([$this->students['Ada'], $this->students['Bo'], $first]);
    $assistant = $this->colleague($this->school, ['name' => 'A', 'email' => 'a@example.test', 'password' => 'a long password', 'role' => Role::Assistant]);
    $this->flushSession();
    app('auth')->forgetGuards();
    $this->actingAs($assistant);
    $answer = $this->getJson("/api/meetings/{$this->meeting->id}/pairs?lesson=$this->lesson")->assertOk();
    expect($answer->json('aside'))->toEqualCanonicalizing(['Ada', 'Bo', 'Dov'])->and(array_map(static fn (array $pair) => array_column($pair, 'name'), $answer->json('pairs')))->toBe([['Cy']])
        ->and(stripos($answer->getContent().$this->getJson("/api/meetings/{$this->meeting->id}/class")->getContent(), 'neck'))->toBeFalse();
});

test('pairs are proposed among those who are here and want to', function () {
    $pairs = fn (string $without = '') => array_map(static fn (array $pair) => array_column($pair, 'name'), $this->getJson("/api/meetings/{$this->meeting->id}/pairs?lesson=$this->lesson&without=$without")->assertOk()->json('pairs'));
    expect($pairs())->toBe([['Ada', 'Bo', 'Cy']]) // an odd one makes a three
        ->and($pairs($this->students['Bo']))->toBe([['Ada', 'Cy']]);
    $this->putJson("/api/meetings/{$this->meeting->id}/attendance", ['attendance' => [$this->students['Cy'] => ['isHere' => false]]])->assertNoContent();
    expect($pairs())->toBe([['Ada', 'Bo']])->and($pairs("{$this->students['Ada']},{$this->students['Bo']}"))->toBe([]);
    $this->getJson("/api/meetings/{$this->meeting->id}/pairs?lesson=".Str::uuid())->assertNotFound();
    $this->getJson("/api/meetings/{$this->meeting->id}/pairs?lesson=17")->assertUnprocessable();
});
