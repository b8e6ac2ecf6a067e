<?php

declare(strict_types=1);

use App\Models\Consideration;
use App\Models\Role;
use App\Models\Student;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:00:00+01:00');
    ['user' => $this->user, 'group' => $this->group, 'form' => $this->form, 'term' => $this->term] = $this->school();
    $this->students = $this->inside($this->user->school, fn () => $this->group->students()->orderBy('name')->pluck('students.id')->all());
    $this->actingAs($this->user);
    $this->meeting = $this->meetings($this->term)[2];
    // Everything that is new tonight bends deep; the first of it says what a neck does.
    $this->planned = fn (): array => json_decode((string) $this->inside($this->user->school, fn () => $this->meeting->fresh()->plan), true);
    $this->new = ($this->planned)()['courses'][0]['lesson']['entries'];
    $edits = array_map(fn (string $id) => ['op' => 'set', 'id' => $id, 'fields' => ['strains' => ['deep_bend']]], $this->new);
    $edits[0]['fields']['cautions'] = [['for' => 'neck', 'do' => 'support', 'text' => 'A wall for the head.']];
    $this->postJson("/api/forms/{$this->form->id}/edits", ['base' => $this->getJson("/api/forms/{$this->form->id}/score")->json('version'), 'id' => (string) Str::ulid(), 'edits' => $edits])->assertOk();
    $this->note = fn (string $student, array $what, ?string $id = null) => $this->putJson("/api/students/$student/considerations/".($id ?? Str::uuid()), $what);
    $this->care = fn (): array => collect($this->getJson("/api/meetings/{$this->meeting->id}")->assertOk()->json('care'))->keyBy('studentId')->all();
});

test('a note is kept under the id of the page, sent twice it is one, and it is changed and taken out again', function () {
    $id = (string) Str::uuid();
    ($this->note)($this->students[0], ['what' => 'knee', 'side' => 'left', 'since' => '2026-01-01', 'note' => 'An old fall.'], $id)->assertNoContent();
    ($this->note)($this->students[0], ['what' => 'knee', 'side' => 'left', 'since' => '2026-01-01', 'note' => 'An old fall.'], strtoupper($id))->assertNoContent();
    expect($this->getJson("/api/students/{$this->students[0]}/considerations")->assertOk()->json())
        ->toBe([['id' => $id, 'what' => 'knee', 'side' => 'left', 'since' => '2026-01-01', 'until' => null, 'note' => 'An old fall.', 'holds' => true, 'isReadable' => true]]);
    ($this->note)($this->students[0], ['what' => 'knee', 'until' => '2026-01-19'], $id)->assertNoContent();
    expect($this->getJson("/api/students/{$this->students[0]}/considerations")->json('0'))->holds->toBeFalse()->side->toBeNull();
    ($this->note)($this->students[1], ['what' => 'hip'], $id)->assertConflict();
    $this->deleteJson("/api/students/{$this->students[1]}/considerations/$id")->assertNoContent();
    expect($this->getJson("/api/students/{$this->students[0]}/considerations")->json())->toHaveCount(1);
    $this->deleteJson("/api/students/{$this->students[0]}/considerations/$id")->assertNoContent();
    expect($this->getJson("/api/students/{$this->students[0]}/considerations")->json())->toBe([]);
});

test('one that ended before it began is refused in a sentence at its field, and what stood stays', function () {
    $id = (string) Str::uuid();
    ($this->note)($this->students[0], ['what' => 'knee'], $id)->assertNoContent();
    $answer = ($this->note)($this->students[0], ['what' => 'knee', 'since' => '2026-01-10', 'until' => '2026-01-09'], $id)->assertUnprocessable();
    expect($answer->json('place'))->toBe('until')->and($this->said($answer))->toContain('before it began')
        ->and($this->getJson("/api/students/{$this->students[0]}/considerations")->json('0.until'))->toBeNull();
    foreach ([['what' => 'toe'], ['what' => 'knee', 'since' => 'spring'], ['what' => 'knee', 'note' => str_repeat('x', 2001)], []] as $bad) {
        ($this->note)($this->students[0], $bad)->assertUnprocessable();
    }
    ($this->note)($this->students[0], ['what' => 'knee'], 'not-an-id')->assertUnprocessable();
});

test('what is noted is unreadable in the database, and in nothing that is logged', function () {
    Log::spy();
    ($this->note)($this->students[0], ['what' => 'pregnancy', 'note' => 'Told in confidence.'])->assertNoContent();
    $rows = $this->inside($this->user->school, fn () => json_encode(DB::table('considerations')->get()));
    expect($rows)->not->toContain('pregnancy')->not->toContain('confidence')->not->toContain(base64_encode('Told in confidence.'));
    expect($this->inside($this->user->school, fn () => Consideration::firstOrFail()->toJson()))->not->toContain('document');
    ($this->note)($this->students[0], ['what' => 'pregnancy', 'until' => 'soon', 'note' => 'Told in confidence.'])->assertUnprocessable();
    Log::shouldNotHaveReceived('error');
});

test('a knee changes what tonight says, by box and movement, and says nothing of why', function () {
    expect(($this->care)())->toBe([]);
    ($this->note)($this->students[0], ['what' => 'knee', 'side' => 'left', 'note' => 'private'])->assertNoContent();
    ($this->note)($this->students[1], ['what' => 'neck'])->assertNoContent();
    ($this->note)($this->students[2], ['what' => 'recent_surgery', 'until' => '2026-01-01'])->assertNoContent(); // over
    $care = ($this->care)();
    expect(array_keys($care))->toEqualCanonicalizing([$this->students[0], $this->students[1]]);
    $new = array_values(array_filter($care[$this->students[0]]['needs'], fn (array $need) => $need['box'] === 'new' && $need['asks']));
    expect(count($new))->toBe(count($this->new))
        ->and(collect($care[$this->students[1]]['needs'])->firstWhere('box', 'new')['do'])->toBe(['support']);
    $text = $this->getJson("/api/meetings/{$this->meeting->id}")->getContent();
    // The general words of the form say nothing of anybody; what is private is not there at all.
    expect(json_encode($care))->not->toContain('knee')->not->toContain('neck')->not->toContain('deep_bend')->not->toContain('wall')
        ->and($text)->not->toContain('private');
});

test('what another key closed is said to be unreadable, and the student is asked; tonight still opens', function () {
    ($this->note)($this->students[0], ['what' => 'knee'])->assertNoContent();
    $this->inside($this->user->school, fn () => DB::table('considerations')->update(['document' => 'eyJpdiI6IngiLCJ2YWx1ZSI6IngiLCJtYWMiOiJ4In0=']));
    expect($this->getJson("/api/students/{$this->students[0]}/considerations")->assertOk()->json('0'))->isReadable->toBeFalse()->what->toBe('other')
        ->and(($this->care)()[$this->students[0]]['asks'])->toBeTrue();
    $id = $this->inside($this->user->school, fn () => Consideration::firstOrFail()->id);
    ($this->note)($this->students[0], ['what' => 'knee'], $id)->assertNoContent();
    expect($this->getJson("/api/students/{$this->students[0]}/considerations")->json('0'))->isReadable->toBeTrue()->what->toBe('knee');
});

test('careful tonight, a first time, and who is asked before anything', function () {
    ($this->note)($this->students[2], ['what' => 'other', 'note' => 'asks each time'])->assertNoContent();
    $this->putJson("/api/meetings/{$this->meeting->id}/attendance", ['attendance' => [$this->students[0] => ['isHere' => true, 'isCareful' => true]]])->assertNoContent();
    $guest = (string) Str::uuid();
    $this->postJson("/api/meetings/{$this->meeting->id}/guests", ['id' => $guest, 'name' => 'New', 'isFirstTime' => true, 'at' => '2026-01-20T19:00:00+01:00'])->assertNoContent();
    $care = ($this->care)();
    expect($care[$this->students[0]])->everywhere->toBe(['support', 'smaller'])->asks->toBeFalse()
        ->and($care[$guest])->everywhere->toBe(['smaller'])->name->toBe('New')
        ->and($care[$this->students[2]])->everywhere->toBe([])->asks->toBeTrue();
});

test('an assistant sees what to do and never why; an instructor sees both', function () {
    ($this->note)($this->students[0], ['what' => 'neck', 'side' => 'left'])->assertNoContent();
    $as = function (Role $role): void {
        auth()->forgetGuards();
        $this->flushSession();
        $this->actingAs($this->colleague($this->user->school, ['name' => 'X', 'email' => "$role->value@reeds.test", 'password' => 'a long password', 'role' => $role]));
    };
    $as(Role::Instructor);
    $reasons = $this->getJson("/api/meetings/{$this->meeting->id}/care")->assertOk()->json('0');
    expect($reasons['considerations'])->toBe(['neck'])->and(collect($reasons['reasons'])->firstWhere('do', 'support'))->text->toBe('A wall for the head.')->for->toBe('neck');
    foreach (["meetings/{$this->meeting->id}/care", "students/{$this->students[0]}/considerations"] as $private) {
        expect($this->getJson("/api/$private")->assertOk()->headers->get('Cache-Control'))->toContain('no-store'); // no browser writes it down
    }
    $as(Role::Assistant);
    expect(collect(($this->care)()[$this->students[0]]['needs'])->pluck('do')->flatten()->all())->toContain('support');
    $this->getJson("/api/meetings/{$this->meeting->id}/care")->assertForbidden();
    $this->getJson("/api/students/{$this->students[0]}/considerations")->assertForbidden();
    $id = (string) Str::uuid();
    $this->putJson("/api/students/{$this->students[0]}/considerations/$id", ['what' => 'knee'])->assertForbidden();
    $this->deleteJson("/api/students/{$this->students[0]}/considerations/$id")->assertForbidden();
    $session = $this->getJson('/api/session')->json('person.may');
    expect($session)->toBe(['read', 'mark']);
});

test('whoever has a note was not put there by mistake: taken off a list, the note stays', function () {
    ($this->note)($this->students[0], ['what' => 'knee'])->assertNoContent();
    $this->deleteJson("/api/groups/{$this->group->id}/students", ['students' => [$this->students[0]]])->assertNoContent();
    expect($this->inside($this->user->school, fn () => Student::whereKey($this->students[0])->exists() && Consideration::count() === 1))->toBeTrue();
});

test('the warm-ups of the school are those that come with it until it says otherwise; evenings to come are chosen anew', function () {
    $list = $this->getJson('/api/school/warm-ups')->assertOk()->json();
    expect($list)->version->toBe(0)->isOwn->toBeFalse()->and(count($list['items']))->toBeGreaterThan(15);
    $tonight = $this->getJson("/api/meetings/{$this->meeting->id}")->json('warmUps');
    expect($tonight['items'])->not->toBe([])->and($tonight['loaded'])->toHaveKeys(['knee', 'hip']);
    $own = ['format' => 'gorvan.warm_ups/1', 'items' => [['id' => 'a', 'title' => 'Shake', 'kind' => 'general', 'minutes' => 1], ['id' => 'b', 'title' => 'Knees', 'kind' => 'joint', 'joints' => ['knee'], 'minutes' => 2]]];
    $this->putJson('/api/school/warm-ups', ['version' => 0, 'list' => $own])->assertOk()->assertJson(['version' => 1, 'isOwn' => true]);
    $this->putJson('/api/school/warm-ups', ['version' => 0, 'list' => $own])->assertOk()->assertJson(['version' => 1]); // sent twice
    expect(array_column($this->getJson("/api/meetings/{$this->meeting->id}")->json('warmUps.items'), 'id'))->toBe(['a', 'b']);
    $this->putJson('/api/school/warm-ups', ['version' => 0, 'list' => [...$own, 'items' => []]])->assertConflict();
    $answer = $this->putJson('/api/school/warm-ups', ['version' => 1, 'list' => ['format' => 'gorvan.warm_ups/1', 'items' => [['id' => 'a', 'title' => '', 'kind' => 'general', 'minutes' => 1]]]])->assertUnprocessable();
    expect($answer->json('place'))->toBe('$.list.items[0].title');
});

test('a room marked cold gets two general warm-ups first', function () {
    $general = collect($this->getJson('/api/school/warm-ups')->json('items'))->where('kind', 'general')->pluck('id');
    $first = fn () => array_slice(array_column($this->getJson("/api/meetings/{$this->meeting->id}")->json('warmUps.items'), 'id'), 0, 2);
    expect($first()[0])->toBe($general[0])->and($first()[1])->not->toBe($general[1]);
    $this->putJson("/api/groups/{$this->group->id}/room", ['isCold' => true])->assertNoContent();
    expect($first())->toBe($general->take(2)->all());
});
