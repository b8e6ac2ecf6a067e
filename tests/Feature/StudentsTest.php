<?php

declare(strict_types=1);

use App\Models\Entry;
use App\Models\GroupMember;
use App\Models\Student;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:00:00+01:00');
    $own = $this->school('Own School');
    [$this->user, $this->group, $this->form, $this->term] = [$own['user'], $own['group'], $own['form'], $own['term']];
    $this->meetings = $this->meetings($this->term);
    $this->students = $this->inside($this->user->school, fn () => $this->group->students()->orderBy('name')->pluck('students.id')->all());
    $this->entries = $this->inside($this->user->school, fn () => $this->form->entries()->pluck('id')->all());
    $this->inside($this->user->school, fn () => GroupMember::query()->update(['joined_on' => '2026-01-01']));
    $this->actingAs($this->user);
    // Two classes teach entries 1 and 2, and 3; the last of the students is away from the first.
    $this->taught = function (int $meeting, array $present, array $entries, string $note = ''): void {
        $log = ['format' => 'gorvan.log/1', 'id' => (string) Str::ulid(), 'on' => $this->meetings[$meeting]->on, 'made_at' => $this->meetings[$meeting]->on.'T20:30:00+01:00', 'present' => $present,
            'did' => [['what' => 'taught', 'entries' => $entries]], ...($note === '' ? [] : ['note' => $note])];
        $this->postJson("/api/meetings/{$this->meetings[$meeting]->id}/log", $log)->assertNoContent();
    };
    $keys = $this->inside($this->user->school, fn () => Entry::whereIn('id', array_slice($this->entries, 0, 3))->orderBy('position')->pluck('key')->all());
    $this->away = $this->students[count($this->students) - 1];
    ($this->taught)(0, array_values(array_diff($this->students, [$this->away])), array_slice($keys, 0, 2), 'The hall was cold.');
    ($this->taught)(1, $this->students, [$keys[2]]);
});

test('everyone is listed by name with a line for each group they are in, and the day they were last here', function () {
    $other = $this->inside($this->user->school, fn () => Student::create(['name' => 'aaron of no group']));
    $rows = collect($this->getJson('/api/students')->assertOk()->json());
    expect($rows->pluck('name')->first())->toBe('aaron of no group')
        ->and($rows->firstWhere('id', $other->id))->groups->toBe([])->lastSeen->toBeNull()
        ->and($rows->firstWhere('id', $this->away)['lastSeen'])->toBe($this->meetings[1]->on)
        ->and($rows->firstWhere('id', $this->away)['groups'])->toBe([['id' => $this->group->id, 'name' => $this->group->name]]);
    $line = fn (string $student) => collect($this->getJson("/api/groups/{$this->group->id}/lines")->assertOk()->json())->firstWhere('studentId', $student);
    expect($line($this->away))->toBe(['studentId' => $this->away, 'frontier' => null, 'holds' => 0, 'slipping' => 0]);
    // Who has not been here for years is still known to have been.
    $this->clockAt('2029-01-20T20:00:00+01:00');
    expect(collect($this->getJson('/api/students')->json())->firstWhere('id', $this->away)['lastSeen'])->toBe($this->meetings[1]->on);
    $this->clockAt('2026-01-20T20:00:00+01:00');
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => [$this->mark($this->students[0], $this->entries[0]), $this->mark($this->students[0], $this->entries[1])]])->assertOk();
    expect($line($this->students[0]))->holds->toBeGreaterThan(0);
});

test('who was away sees what was missed, in the order it is needed, and how often they came', function () {
    $page = $this->getJson("/api/students/$this->away")->assertOk()->json();
    expect($page['groups'][0])->came->toBe(1)->classes->toBe(2)->leftOn->toBeNull()
        ->and(array_map(fn (array $one) => [$one['from'], $one['to'], array_column($one['lacking'], 'kind', 'position')], $page['forms'][0]['catchUp']))->toBe([[1, 3, [1 => 'missed', 2 => 'missed', 3 => 'behind']]])
        ->and($page['forms'][0]['catchUpMinutes'])->toBe($page['forms'][0]['catchUp'][0]['minutes'])
        ->and(array_column($page['classes'], 'came', 'on'))->toBe([$this->meetings[1]->on => true, $this->meetings[0]->on => false])
        ->and($page['classes'][1]['note'])->toBe('The hall was cold.');
    expect($this->getJson("/api/students/{$this->students[0]}")->json('forms.0.catchUp.*.lacking.*.kind'))->not->toContain('missed');
});

test('a standing is read on any day, and an unknown day is refused', function () {
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => [$this->mark($this->students[0], $this->entries[0], 'Flowing')]])->assertOk();
    $cells = fn (string $on) => array_column(array_map(self::cell(...), $this->getJson("/api/students/{$this->students[0]}?on=$on")->assertOk()->json('forms.0.standing.cells')), 'support', 'position');
    expect($cells($this->meetings[1]->on))->toBe([1 => null, 2 => null, 3 => null])
        ->and($cells($this->meetings[2]->on)[1])->toBe('Flowing');
    $this->getJson("/api/students/{$this->students[0]}?on=yesterday")->assertUnprocessable();
});

test('over time there is a point for each class and one for today, with the marks made there', function () {
    $this->postJson("/api/meetings/{$this->meetings[1]->id}/marks", ['marks' => [$this->mark($this->students[0], $this->entries[0], 'Flowing'), $this->mark($this->students[0], $this->entries[1])]])->assertOk();
    $line = $this->getJson("/api/students/{$this->students[0]}/line?group={$this->group->id}")->assertOk()->json();
    expect(array_column($line, 'on'))->toBe([$this->meetings[0]->on, $this->meetings[1]->on, '2026-01-20'])
        ->and(array_column($line, 'marks'))->toBe([0, 2, 0])
        ->and($line[0]['holding'])->toBe(0)->and($line[1]['holding'])->toBe(2)
        ->and($line[1]['expected'])->toEqualWithDelta(3.0, 1e-9)->and($line[2]['expected'])->toBeLessThan(3.0);
    $this->getJson("/api/students/{$this->students[0]}/line?group=".Str::uuid())->assertUnprocessable();
});

test('a movement has a curve with every contact on it, a withdrawn mark not among them', function () {
    $mark = $this->mark($this->students[0], $this->entries[0], 'Cued');
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => [$mark]])->assertOk();
    $url = "/api/students/{$this->students[0]}/curve?entry={$this->entries[0]}";
    $curves = $this->getJson($url)->assertOk()->json();
    $contacts = $curves[0]['contacts'];
    expect(array_column($contacts, 'kind'))->toBe(['taught', 'mark'])->and($contacts[0]['before'])->toBeNull()->and($contacts[1])->level->toBe('Cued')->before->toBeLessThan(1.0);
    $points = array_column($curves[0]['points'], 'recall', 'on');
    expect($points[$this->meetings[0]->on])->toEqual(1)->and(array_key_last($points))->toBe('2026-01-20');
    $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => (string) Str::ulid(), 'of' => $mark['id'], 'at' => '2026-01-20T20:00:00+01:00']]])->assertNoContent();
    expect(array_column($this->getJson($url)->json('0.contacts'), 'kind'))->toBe(['taught']);
    $this->getJson("/api/students/{$this->students[0]}/curve?entry=".Str::uuid())->assertUnprocessable();
});

test('what holds is told with the day until which it will', function () {
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => [$this->mark($this->students[0], $this->entries[0], 'Alone')]])->assertOk();
    $fading = $this->getJson("/api/students/{$this->students[0]}")->json('forms.0.fading');
    expect($fading)->toHaveCount(1)->and($fading[0]['position'])->toBe(1);
    $until = $fading[0]['until'];
    $holds = fn (string $on) => $this->getJson("/api/students/{$this->students[0]}?on=$on")->json('forms.0.standing.holding');
    $before = date('Y-m-d', strtotime("$until -1 day"));
    $this->clockAt("{$until}T12:00:00+01:00");
    expect($holds($before))->toBe(1)->and($holds($until))->toBe(0);
});

test('those who are here are put into pods, away ones left out, and who lacks something of tonight comes first', function () {
    $this->postJson("/api/groups/{$this->group->id}/students", ['students' => ['Gia', 'Hal', 'Ivo', 'Jon']])->assertCreated();
    $extra = $this->inside($this->user->school, fn () => Student::whereIn('name', ['Gia', 'Hal', 'Ivo', 'Jon'])->pluck('id')->all());
    $meeting = $this->meetings[2]->id;
    $url = "/api/meetings/$meeting/pods";
    $pods = $this->getJson("$url?count=2")->assertOk()->json();
    $all = [...$this->students, ...$extra];
    expect(array_merge(...array_map(fn (array $pod) => array_column($pod['students'], 'id'), $pods['pods'])))->toEqualCanonicalizing($all)
        ->and(array_map(fn (array $pod) => count($pod['students']) >= 3, $pods['pods']))->not->toContain(false);
    $this->putJson("/api/meetings/$meeting/attendance", ['attendance' => [$extra[0] => ['isHere' => false]]])->assertNoContent();
    $fewer = $this->getJson($url)->json();
    expect(array_merge(...array_map(fn (array $pod) => array_column($pod['students'], 'id'), $fewer['pods'])))->not->toContain($extra[0]);
    $this->getJson("$url?count=9")->assertUnprocessable();
});

test('who pauses is waited for by nobody, and comes back to the groups they were in', function () {
    $names = fn () => array_column($this->getJson("/api/groups/{$this->group->id}")->json('students'), 'id');
    $this->putJson("/api/students/$this->away/pause", ['isPaused' => true])->assertNoContent();
    $this->putJson("/api/students/$this->away/pause", ['isPaused' => true])->assertNoContent(); // sent twice
    expect($names())->not->toContain($this->away)
        ->and($this->getJson("/api/students/$this->away")->json())->isPaused->toBeTrue()->forms->toBe([]);
    $this->clockAt('2026-02-20T20:00:00+01:00');
    $this->putJson("/api/students/$this->away/pause", ['isPaused' => false])->assertNoContent();
    $page = $this->getJson("/api/students/$this->away")->json();
    expect($names())->toContain($this->away)->and($page)->isPaused->toBeFalse()
        ->and(array_column($page['groups'], 'leftOn', 'joinedOn'))->toBe(['2026-01-01' => '2026-01-20', '2026-02-20' => null]);
});

test('off the list a student is in no group and keeps the record; who has none was a mistake and goes', function () {
    $mistake = $this->inside($this->user->school, fn () => Student::create(['name' => 'Typo'])->id);
    foreach ([$mistake, $this->away] as $student) {
        $this->putJson("/api/students/$student/list", ['isOff' => true])->assertNoContent();
    }
    $rows = collect($this->getJson('/api/students')->json())->keyBy('id');
    expect($rows)->not->toHaveKey($mistake)->and($rows[$this->away])->isOffList->toBeTrue()->groups->toBe([]);
    $this->putJson("/api/students/$this->away/list", ['isOff' => false])->assertNoContent();
    expect($this->getJson("/api/students/$this->away")->json('isOffList'))->toBeFalse();
    // Whoever joins a group is on the list again.
    $this->putJson("/api/students/$this->away/list", ['isOff' => true])->assertNoContent();
    $name = $this->inside($this->user->school, fn () => Student::findOrFail($this->away)->name);
    $this->postJson("/api/groups/{$this->group->id}/students", ['students' => [$name], 'same' => [$name => $this->away]])->assertCreated();
    expect($this->getJson("/api/students/$this->away")->json('isOffList'))->toBeFalse();
});

test('two who are one are read with the record of both, and apart again each has their own', function () {
    $twin = $this->inside($this->user->school, fn () => Student::create(['name' => 'Twin'])->id);
    $this->postJson("/api/groups/{$this->group->id}/students", ['students' => ['Twin'], 'same' => ['Twin' => $twin]])->assertCreated();
    $this->putJson("/api/students/$twin/considerations/".Str::uuid(), ['what' => 'knee'])->assertNoContent();
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => [$this->mark($twin, $this->entries[0], 'Flowing')]])->assertOk();
    $this->putJson("/api/meetings/{$this->meetings[2]->id}/attendance", ['attendance' => [$twin => ['isHere' => true]]])->assertNoContent();
    $this->clockAt('2026-01-24T20:00:00+01:00'); // what was noted is in a checkpoint by now
    $cells = fn (string $student) => array_column(array_map(self::cell(...), $this->getJson("/api/students/$student")->assertOk()->json('forms.0.standing.cells') ?? []), 'support', 'position');
    $own = $cells($this->away);
    expect($own[1] ?? null)->toBeNull();
    $this->postJson("/api/students/$this->away/joined", ['other' => $twin])->assertNoContent();
    $this->postJson("/api/students/$this->away/joined", ['other' => $twin])->assertNoContent(); // sent twice
    $page = $this->getJson("/api/students/$this->away")->json();
    expect($cells($this->away)[1])->toBe('Flowing')
        ->and($page['also'])->toBe([['id' => $twin, 'name' => 'Twin']])
        ->and(array_column(collect($page['classes'])->firstWhere('on', $this->meetings[2]->on)['marks'] ?? [], 'level'))->toBe([])
        ->and($this->getJson("/api/students/$twin")->json('sameAs.id'))->toBe($this->away)
        ->and(collect($this->getJson('/api/students')->json())->pluck('id'))->not->toContain($twin)
        ->and($this->getJson("/api/students/$this->away/considerations")->json())->toHaveCount(1)
        ->and(array_column($this->getJson("/api/groups/{$this->group->id}")->json('students'), 'id'))->toContain($this->away)->not->toContain($twin);
    // What arrives late of the other one is theirs too.
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => [$this->mark($twin, $this->entries[1], 'Alone')]])->assertOk();
    // Read both at once, as a class that names both is: nothing is lost of either, what came late too.
    $this->inside($this->user->school, fn () => app(App\Actions\ReadStandings::class)($this->form->fresh()->placed(), [$this->away, $twin], '2026-01-24'));
    expect($cells($this->away)[1])->toBe('Flowing');
    $this->postJson("/api/students/$twin/apart")->assertNoContent();
    $this->postJson("/api/students/$twin/apart")->assertNoContent();
    expect($cells($this->away))->toBe($own)->and($cells($twin)[1])->toBe('Flowing')
        ->and($this->getJson("/api/students/$twin/considerations")->json())->toHaveCount(1)
        ->and($this->getJson("/api/students/$this->away/considerations")->json())->toBe([]);
});

test('two who were at one class are asked about before they are made one, nobody is two people twice, and a name that is one already is no other', function () {
    [$one, $two, $three] = $this->students;
    expect($this->said($this->postJson("/api/students/$one/joined", ['other' => $two])->assertConflict()))->toContain('at the same class');
    $this->postJson("/api/students/$one/joined", ['other' => $two, 'isSure' => true])->assertNoContent();
    $this->postJson("/api/students/$three/joined", ['other' => $one, 'isSure' => true])->assertUnprocessable();
    $this->postJson("/api/students/$two/joined", ['other' => $three, 'isSure' => true])->assertUnprocessable();
    $this->postJson("/api/students/$one/joined", ['other' => $one])->assertUnprocessable();
    $this->postJson("/api/students/$one/joined", ['other' => (string) Str::uuid()])->assertUnprocessable();
    $page = $this->getJson("/api/students/$one")->json();
    // Both were at one class: that is one evening.
    expect($page['groups'][0])->came->toBe(2)->classes->toBe(2);
    expect(collect($this->getJson('/api/students')->json())->firstWhere('id', $one)['lastSeen'])->toBe($this->meetings[1]->on);
});

test('a plan and whom to watch count the classes of both records of one person', function () {
    $twin = $this->inside($this->user->school, fn () => Student::create(['name' => 'Twin'])->id);
    $this->postJson("/api/groups/{$this->group->id}/students", ['students' => ['Twin'], 'same' => ['Twin' => $twin]])->assertCreated();
    $this->inside($this->user->school, fn () => GroupMember::where('student_id', $twin)->update(['joined_on' => '2026-01-01']));
    ($this->taught)(2, [$twin], []);
    $this->clockAt('2026-01-28T12:00:00+01:00');
    $comes = fn () => $this->inside($this->user->school, fn () => app(App\Actions\ReadPlanning::class)($this->term->fresh())->courses[0]->students);
    $of = fn (string $student) => collect($comes())->firstWhere('id', $student)?->comes;
    $alone = $of($this->away);
    $this->postJson("/api/students/$this->away/joined", ['other' => $twin])->assertNoContent();
    // Of three classes one was theirs and one their other record's.
    expect($alone)->toEqualWithDelta((1 + 4 * 0.85) / (3 + 4), 1e-9)
        ->and($of($this->away))->toEqualWithDelta((2 + 4 * 0.85) / (3 + 4), 1e-9)
        ->and($of($twin))->toBeNull();
});

test('a group’s lines are of who is in it now, and another school’s group has none', function () {
    $this->putJson("/api/students/$this->away/pause", ['isPaused' => true])->assertNoContent();
    expect(array_column($this->getJson("/api/groups/{$this->group->id}/lines")->assertOk()->json(), 'studentId'))->not->toContain($this->away);
    $this->getJson('/api/groups/'.Str::uuid().'/lines')->assertNotFound();
});
