<?php

declare(strict_types=1);

use App\Actions\KeepLesson;
use App\Models\Course;
use App\Models\Entry;
use App\Models\KeptLesson;
use App\Models\KeptMail;
use App\Models\Letter;
use App\Models\Student;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:30:00+01:00');
    $this->made = $this->school();
    $this->school = $this->made['user']->school;
    $this->actingAs($this->made['user']);
    $this->term = $this->made['term']->id;
    $this->students = $this->inside($this->school, fn () => Student::orderBy('name')->pluck('id', 'name')->all());
    foreach (array_slice($this->meetings($this->made['term']), 0, 2) as $at => $meeting) {
        $this->logged($meeting, $this->made['user'], $at === 0 ? ['present' => [$this->students['Ada'], $this->students['Bo']]] : []);
    }
    $this->inside($this->school, fn () => App\Models\GroupMember::query()->update(['joined_on' => '2026-01-01']));
    $this->end = fn () => $this->getJson("/api/terms/$this->term/end")->assertOk()->json();
    $this->put = fn (array $body) => $this->putJson("/api/terms/$this->term/letters", ['id' => (string) Str::uuid(), 'student' => $this->students['Ada'], 'text' => 'Dear Ada', 'version' => 0, ...$body]);
});

test('a term says at its end what it came to for each student and for the group', function () {
    $entries = $this->inside($this->school, fn () => Entry::orderBy('position')->pluck('id')->all());
    $this->postJson("/api/meetings/{$this->meetings($this->made['term'])[2]->id}/marks", ['marks' => [$this->mark($this->students['Ada'], $entries[0]), $this->mark($this->students['Ada'], $entries[1], 'Cued')]])->assertOk();
    $end = ($this->end)();
    [$ada, $bo, $cy] = $end['students'];
    expect($end['on'])->toBe('2026-01-20')->and($end['classes'])->toBe(2)
        ->and($ada['forms'][0]['holds'])->toBe([['from' => 1, 'to' => 1]])->and($ada['forms'][0]['holding'])->toBe(1)
        ->and($ada['forms'][0]['nearly'][0]['from'])->toBe(2)->and($ada['forms'][0]['keep'])->toBe([1])
        ->and([$ada['came'], $ada['classes']])->toBe([2, 2])->and([$cy['came'], $cy['classes']])->toBe([1, 2])
        ->and($bo['forms'][0]['holds'])->toBe([])->and($end['courses'][0]['firm'])->toBe([])
        ->and($end['courses'][0]['movements'])->toBe(8)->and($end['courses'][0]['taught'])->toBe($ada['forms'][0]['taught'])
        ->and($end['courses'][0]['next']['from'])->toBe($end['courses'][0]['taught'] + 1);
    foreach ($end['students'] as $one) {
        $of = $one['forms'][0];
        $all = array_merge(...array_map(static fn (array $passage) => range($passage['from'], $passage['to']), [...$of['holds'], ...$of['nearly'], ...$of['open'], ...$of['missed']]));
        expect($all)->toEqualCanonicalizing(range(1, $of['taught']));
    }
});

test('long after a term its letters are about its last day, and not about what was forgotten since', function () {
    $this->clockAt('2026-09-01T20:30:00+02:00');
    expect(($this->end)()['on'])->toBe('2026-03-10');
});

test('a letter sent twice is one, and two teachers who write the same letter do not undo each other', function () {
    $id = (string) Str::uuid();
    ($this->put)(['id' => $id])->assertOk()->assertJsonPath('version', 1);
    ($this->put)(['id' => $id])->assertOk()->assertJsonPath('version', 1);
    expect($this->inside($this->school, fn () => Letter::count()))->toBe(1);
    // Another page made another letter of its own: it is told, and finds the first.
    expect(($this->put)(['text' => 'Hello'])->assertConflict()->json('code'))->toBe('letter.changed');
    ($this->put)(['id' => $id, 'text' => 'Dear Ada, well done', 'version' => 1])->assertOk()->assertJsonPath('version', 2);
    ($this->put)(['id' => $id, 'text' => 'Dear Ada, well done', 'version' => 1])->assertOk()->assertJsonPath('version', 2);
    expect(($this->put)(['id' => $id, 'text' => 'Something else', 'version' => 1])->assertConflict()->json('code'))->toBe('letter.changed')
        ->and(($this->put)(['id' => $id, 'student' => $this->students['Bo'], 'version' => 2])->assertConflict()->json('code'))->toBe('letter.reused')
        ->and(($this->end)()['students'][0]['letter']['text'])->toBe('Dear Ada, well done');
});

test('a letter is for somebody of the group, and says something', function () {
    expect(($this->put)(['student' => (string) Str::uuid()])->assertUnprocessable()->json('code'))->toBe('letter.student');
    foreach (['text' => '', 'id' => '17', 'version' => -1] as $field => $wrong) {
        expect(($this->put)([$field => $wrong])->assertUnprocessable()->json('place'))->toBe($field);
    }
    ($this->put)(['text' => str_repeat('a', 8001)])->assertUnprocessable();
    expect($this->inside($this->school, fn () => Letter::count()))->toBe(0);
});

test('a version goes by mail once, and what is changed after it can go again', function () {
    $id = (string) Str::uuid();
    ($this->put)(['id' => $id])->assertOk();
    $send = fn () => $this->postJson("/api/terms/$this->term/letters/sending", ['letters' => [$id]])->assertOk()->json('0.sentAt');
    expect($send())->toBeNull(); // nobody knows where to
    $this->putJson("/api/students/{$this->students['Ada']}/details", ['email' => 'ada@example.test', 'size' => null])->assertNoContent();
    expect($send())->toBe('2026-01-20T20:30:00+01:00')->and($send())->toBe('2026-01-20T20:30:00+01:00')
        ->and($this->inside($this->school, fn () => KeptMail::count()))->toBe(1);
    ($this->put)(['id' => $id, 'text' => 'Dear Ada, once more', 'version' => 1])->assertOk()->assertJsonPath('sentAt', null);
    $send();
    $mails = $this->getJson('/api/mails')->json('mails');
    expect(array_column($mails, 'body'))->toEqualCanonicalizing(['Dear Ada', 'Dear Ada, once more'])->and($mails[0]['subject'])->toBe('Winter, Reed School');
    expect($this->postJson("/api/terms/$this->term/letters/sending", ['letters' => [(string) Str::uuid()]])->assertUnprocessable()->json('code'))->toBe('letter.gone');
});

test('the group has one page, which is mailed to nobody', function () {
    $id = (string) Str::uuid();
    ($this->put)(['id' => $id, 'student' => null, 'text' => 'All of us'])->assertOk();
    expect(($this->put)(['student' => null, 'text' => 'Another'])->assertConflict()->json('code'))->toBe('letter.changed')
        ->and(($this->end)()['groupLetter']['text'])->toBe('All of us');
    $this->postJson("/api/terms/$this->term/letters/sending", ['letters' => [$id]])->assertUnprocessable();
    $this->deleteJson("/api/letters/$id")->assertNoContent();
    expect(($this->end)()['groupLetter'])->toBeNull();
});

test('a school keeps its own sentences, and only those there are', function () {
    $words = $this->putJson('/api/school/letter-words', ['words' => ['greeting' => 'Hello {name}!'], 'numbers' => true])->assertOk();
    expect(($this->end)()['words'])->toBe(['words' => ['greeting' => 'Hello {name}!'], 'hasNumbers' => true])->and($words->json())->toBe(($this->end)()['words']);
    $this->putJson('/api/school/letter-words', ['words' => ['shout' => 'Hey'], 'numbers' => true])->assertUnprocessable();
    $this->putJson('/api/school/letter-words', ['words' => ['greeting' => str_repeat('a', 1001)], 'numbers' => true])->assertUnprocessable();
    $this->putJson('/api/school/letter-words', ['words' => [], 'numbers' => false])->assertOk();
    expect($this->getJson("/api/terms/$this->term/end")->assertOk()->getContent())->toContain('"words":{"words":{},"hasNumbers":false}');
});

test('the sentences a school can have are those that the pages have words for', function () {
    $usual = json_decode((string) file_get_contents(resource_path('js/messages/en/letters.json')), true)['words']['usual'];
    $rule = (new ReflectionParameter([App\Letters\Requests\LetterWords::class, '__construct'], 'words'))->getAttributes(App\Shared\Sent\Rules::class)[0]->newInstance()->rules[0];
    expect(explode(',', substr($rule, strlen('array:'))))->toEqualCanonicalizing(array_keys($usual));
});

test('the term that follows takes courses, shares and written lessons along, and leaves the first as it was', function () {
    [$course, $lesson] = $this->inside($this->school, function (): array {
        $course = $this->made['term']->courses()->first();
        $course->update(['share' => 0.6, 'cut' => [...$course->cut, 'of_form' => false]]); // with lessons of its own
        $this->made['term']->courses()->create(['form_id' => $this->made['form']->id, 'ordinal' => 2, 'approach' => 'outline', 'share' => 0.4, 'pins' => (object) []]);

        return [$course->id, app(KeepLesson::class)($this->made['form']->fresh(), $course, new WrittenLesson((string) Str::uuid(), ['e01', 'e02'], note: 'sticks'), 0)->id];
    });
    $next = ['group' => $this->made['group']->id, 'title' => 'Spring', 'from' => '2026-03-17', 'to' => '2026-05-26', 'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 60]], 'closures' => [], 'approach' => 'sides', 'after' => $this->term];
    $made = $this->postJson('/api/terms', $next)->assertCreated()->json('id');
    $this->inside($this->school, function () use ($made, $course, $lesson): void {
        $courses = Course::where('term_id', $made)->orderBy('ordinal')->get();
        expect($courses->map(fn (Course $one) => [$one->share, $one->approach->value])->all())->toBe([[0.6, 'sides'], [0.4, 'sides']]);
        $copy = KeptLesson::where('course_id', $courses[0]->id)->sole();
        expect($copy->id)->not->toBe($lesson)->and($copy->written()->note)->toBe('sticks')->and($copy->used_from)->toBe($lesson)
            ->and(KeptLesson::where('course_id', $course)->sole()->id)->toBe($lesson);
    });
    // Taken back, it leaves nothing behind but what was written into it since.
    $count = fn () => $this->inside($this->school, fn () => KeptLesson::count());
    expect($count())->toBe(2);
    $this->deleteJson("/api/terms/$made")->assertNoContent();
    expect($count())->toBe(1);
    $again = $this->postJson('/api/terms', $next)->assertCreated()->json('id');
    $this->inside($this->school, function () use ($again): void {
        $copy = KeptLesson::whereIn('course_id', Course::where('term_id', $again)->select('id'))->sole();
        app(KeepLesson::class)($this->made['form']->fresh(), $copy->course, $copy->written()->with(['note' => 'longer sticks']), 1);
    });
    $this->deleteJson("/api/terms/$again")->assertNoContent();
    expect($count())->toBe(2);
    $other = $this->inside($this->school, fn () => App\Models\Group::create(['name' => 'Others', 'form_id' => $this->made['form']->id])->id);
    expect($this->postJson('/api/terms', [...$next, 'group' => $other])->assertUnprocessable()->json('place'))->toBe('after');
    // Without it a term has the group's form alone.
    $plain = $this->postJson('/api/terms', [...$next, 'title' => 'Autumn', 'from' => '2026-09-01', 'to' => '2026-10-27', 'after' => null])->assertCreated()->json('id');
    expect($this->inside($this->school, fn () => Course::where('term_id', $plain)->count()))->toBe(1);
});
