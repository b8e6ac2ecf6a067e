<?php

declare(strict_types=1);

use App\Actions\KeepConsideration;
use App\Actions\NoteHomePractice;
use App\Models\Entry;
use App\Models\Role;
use App\Models\Student;
use App\Models\StudentQuestion;
use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Care\StudentConsideration;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:30:00+01:00');
    $this->made = $this->school();
    $this->school = $this->made['user']->school;
    $this->actingAs($this->made['user']);
    [$this->ada, $this->bo] = $this->inside($this->school, fn () => Student::orderBy('name')->limit(2)->get()->all());
    $this->dates = array_slice($this->meetings($this->made['term']), 0, 2);
    $this->logged($this->dates[0], $this->made['user']);
    $this->logged($this->dates[1], $this->made['user'], ['present' => [$this->ada->id]]);
    $this->entry = $this->inside($this->school, fn () => Entry::whereNotNull('position')->orderBy('position')->first()->id);
    [$this->stands, $this->gone] = [$this->mark($this->ada->id, $this->entry), $this->mark($this->ada->id, $this->entry, 'Following')];
    $this->postJson("/api/meetings/{$this->dates[1]->id}/marks", ['marks' => [$this->stands, $this->gone]])->assertOk();
    $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => (string) Str::ulid(), 'of' => $this->gone['id'], 'at' => now()->toRfc3339String()]]])->assertSuccessful();
});

/** @return list<list<string>> */
function cellsOf(string $csv): array
{
    return array_map(fn (string $line): array => str_getcsv($line, escape: ''), explode("\r\n", trim($csv)));
}

test('everything one student is recorded with comes as JSON: classes, marks with those taken back, home, questions, considerations', function () {
    $this->inside($this->school, function (): void {
        app(KeepConsideration::class)($this->ada, (string) Str::uuid(), new StudentConsideration(Consideration::Knee, note: 'an old fall'));
        app(NoteHomePractice::class)($this->ada, (string) Str::uuid(), '2026-01-19', new DateTimeImmutable, 8, true, [$this->entry]);
        (new StudentQuestion)->forceFill(['id' => (string) Str::uuid(), 'student_id' => $this->ada->id, 'text' => 'Which <foot>?', 'at' => now(), 'received_at' => now()])->save();
        $this->ada->update(['email' => 'ada@example.test', 'size' => 'small']);
        app(App\Actions\GiveLink::class)($this->ada, true);
        app(App\Actions\KeepLetter::class)($this->made['term'], (string) Str::uuid(), $this->ada->id, 'Dear Ada, <well> done', 0);
    });
    $answer = $this->get("/api/students/{$this->ada->id}/record")->assertOk();
    $record = $answer->json();
    expect($record['format'])->toBe('gorvan.student/1')->and($record['name'])->toBe('Ada')
        ->and(array_column($record['classes'], 'on'))->toBe(['2026-01-06', '2026-01-13'])
        ->and(array_column($record['classes'][0]['did'], 'of'))->toContain('Gather')
        ->and(array_map(fn ($one) => [$one['seen'], $one['taken_back']], $record['marks']))->toBe([['Alone', false], ['Following', true]])
        ->and($record['at_home'])->toBe([['on' => '2026-01-19', 'minutes' => 8, 'from_memory' => true, 'taken_back' => false]])
        ->and($record['questions'][0]['text'])->toBe('Which <foot>?')
        ->and($record['considerations'][0]['note'])->toBe('an old fall')
        ->and($record['address'])->toBe([['email' => 'ada@example.test', 'size' => 'small']])
        ->and($record['links'][0])->toMatchArray(['ended' => null, 'devices' => 0])
        ->and($record['letters'])->toBe([['term' => 'Winter', 'text' => 'Dear Ada, <well> done', 'sent' => null]])
        ->and(array_column($record['mails'], 'to'))->toBe(['ada@example.test'])
        // What a link opens is for nobody's record.
        ->and($answer->getContent())->not->toContain('mine/home');
    // And it is what the published schema says (source: opis/json-schema).
    $schema = json_decode((string) file_get_contents(base_path('docs/formats/student.schema.json')));
    $verdict = (new Opis\JsonSchema\Validator)->validate(json_decode((string) $answer->getContent()), $schema);
    $this->assertTrue($verdict->isValid(), json_encode($verdict->error() === null ? null : (new Opis\JsonSchema\Errors\ErrorFormatter)->format($verdict->error())) ?: '');
    // Nobody else is in it, by name or by id.
    foreach (['Bo', 'Cy', $this->bo->id] as $other) {
        expect($answer->getContent())->not->toContain($other);
    }
    $page = $this->get("/api/students/{$this->ada->id}/record?as=html")->assertOk()->getContent();
    expect($page)->toContain('Which &lt;foot&gt;?')->toContain('an old fall')->toContain('taken back')->toContain('8 min')->toContain('&lt;well&gt;')->toContain('on 0 devices')->not->toContain('kept.')->not->toContain('<foot>');
});

test('a student of whom nothing is recorded gets a page that says so', function () {
    $new = $this->inside($this->school, fn () => Student::create(['name' => 'Dee']));
    $page = $this->get("/api/students/$new->id/record?as=html")->assertOk()->getContent();
    expect(substr_count($page, 'Nothing.'))->toBe(10);
});

test('who may not see considerations may not take the record', function () {
    $this->flushSession();
    $this->app['auth']->forgetGuards();
    $this->actingAs($this->colleague($this->school, ['name' => 'A', 'email' => 'a@example.test', 'password' => 'a long password', 'role' => Role::Assistant]));
    $this->getJson("/api/students/{$this->ada->id}/record")->assertForbidden();
});

test('a group comes as tables: where everyone stands, and who came to which class', function () {
    $group = $this->made['group']->id;
    $standings = cellsOf($this->get("/api/groups/$group/table?of=standings")->assertOk()->getContent());
    expect($standings[0])->toBe(['student', 'position', 'number', 'title', 'seen', 'recall', 'holds', 'assumed'])
        ->and($standings[1])->toBe(['Ada', '1', '1', 'Gather', 'Alone', $standings[1][5], 'yes', 'no'])
        ->and((float) $standings[1][5])->toBeGreaterThan(0.5)->toBeLessThanOrEqual(1.0);
    // Cy came as a guest first, and joined between the two.
    $this->inside($this->school, function (): void {
        App\Models\GroupMember::query()->update(['joined_on' => '2026-01-01']);
        App\Models\GroupMember::where('student_id', Student::where('name', 'Cy')->value('id'))->update(['joined_on' => '2026-01-20']);
    });
    $attendance = cellsOf($this->get("/api/groups/$group/table?of=attendance")->assertOk()->getContent());
    expect($attendance)->toBe([['student', '2026-01-06', '2026-01-13', 'came', 'classes'], ['Ada', 'there', 'there', '2', '2'], ['Bo', 'there', 'away', '1', '2'], ['Cy', 'there', '', '1', '1']]);
    $this->getJson("/api/groups/$group/table?of=secrets")->assertUnprocessable();
});

test('a name that begins like a formula is none in a spreadsheet', function () {
    $this->inside($this->school, fn () => Student::whereKey($this->ada->id)->update(['name' => '=1+1']));
    expect($this->get("/api/groups/{$this->made['group']->id}/table?of=attendance")->getContent())->toContain("'=1+1");
});
