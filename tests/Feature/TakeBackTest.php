<?php

declare(strict_types=1);

use App\Models\Course;
use App\Models\Entry;
use App\Models\Form;
use App\Models\Group;
use App\Models\Meeting;
use App\Models\Student;
use App\Models\Term;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->actingAs($this->user);
    $this->counts = fn (): array => $this->inside($this->user->school, fn () => [Form::count(), Entry::count(), Course::count(), Group::count(), Student::count(), Term::count(), Meeting::count()]);
    $this->student = $this->inside($this->user->school, fn () => Student::where('name', 'Ada')->first()->id);
});

test('what was made by mistake can be taken back, the last thing first, and nothing of it stays', function () {
    $form = $this->postJson('/api/forms', ['text' => Tests\TestCase::LIST])->json('id');
    $before = ($this->counts)();
    $group = $this->postJson('/api/groups', ['name' => 'Slip', 'form' => $form, 'students' => ['Eve', 'Flo']])->json('id');
    $term = $this->postJson('/api/terms', ['group' => $group, 'title' => 'Slip', 'from' => '2026-02-01', 'to' => '2026-03-01', 'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 60]], 'closures' => [], 'approach' => 'piece'])->json('id');
    $this->deleteJson("/api/forms/$form")->assertConflict()->tap(fn ($answer) => expect($this->said($answer))->toBe('This form is learnt by Slip, so it stays.'));
    $this->deleteJson("/api/groups/$group")->assertConflict()->tap(fn ($answer) => expect($this->said($answer))->toBe('A term is laid for this group, so it stays. Take the term back first.'));
    $this->deleteJson("/api/terms/$term")->assertNoContent();
    $this->deleteJson("/api/groups/$group")->assertNoContent();
    expect(($this->counts)())->toBe($before);
    $this->deleteJson("/api/forms/$form")->assertNoContent();
    expect(($this->counts)())->toBe([1, 8, 1, 1, 3, 1, 10]);
    $this->getJson("/api/forms/$form")->assertNotFound();
});

/** What is said beforehand of what a removal takes along, and of what stays. */
function removalSaid(Illuminate\Testing\TestResponse $answer): array
{
    $told = $answer->assertOk()->json();

    $counted = static fn (array $lines): array => array_combine(array_column($lines, 'code'), array_column(array_column($lines, 'with'), 'count'));

    return [$counted($told['goes']), $counted($told['stays']), $told['refused']['code'] ?? null];
}

test('what goes with something is counted before it goes, and so many do go', function () {
    $form = $this->postJson('/api/forms', ['text' => Tests\TestCase::LIST])->json('id');
    $group = $this->postJson('/api/groups', ['name' => 'Slip', 'form' => $form, 'students' => ['Eve', 'Flo']])->json('id');
    // Ada is asked along: she is in another group, and stays.
    $this->inside($this->user->school, fn () => App\Models\GroupMember::create(['group_id' => $group, 'student_id' => $this->student, 'joined_on' => '2026-01-20']));
    expect(removalSaid($this->getJson("/api/forms/$form/removal")))->toBe([[], [], 'form.learnt_by'])
        ->and(removalSaid($this->getJson("/api/terms/{$this->term->id}/removal")))->toBe([['removal.meetings' => 10, 'removal.courses' => 1], [], null])
        ->and(removalSaid($this->getJson("/api/groups/{$this->group->id}/removal")))->toBe([[], [], 'group.has_term'])
        ->and(removalSaid($this->getJson("/api/groups/$group/removal")))->toBe([
            ['removal.students' => 2], ['removal.students_stay' => 1], null,
        ]);
    $before = ($this->counts)();
    $this->deleteJson("/api/groups/$group")->assertNoContent();
    expect(($this->counts)()[4])->toBe($before[4] - 2)
        ->and(removalSaid($this->getJson("/api/forms/$form/removal")))->toBe([['removal.entries' => 8, 'removal.versions' => 1], [], null]);
    $this->deleteJson("/api/forms/$form")->assertNoContent();
    expect(($this->counts)()[1])->toBe($before[1] - 8);
});

test('a term in which anything was recorded stays', function (string $what) {
    $meeting = $this->meetings($this->term)[2];
    $entry = $this->inside($this->user->school, fn () => Entry::first()->id);
    $log = $this->asPlanned($meeting);
    match ($what) {
        'attendance' => $this->putJson("/api/meetings/$meeting->id/attendance", ['attendance' => [$this->student => ['isHere' => false]]])->assertNoContent(),
        'a mark' => $this->postJson("/api/meetings/$meeting->id/marks", ['marks' => [$this->mark($this->student, $entry)]])->assertOk(),
        default => $this->postJson("/api/meetings/$meeting->id/log", $log)->assertNoContent(),
    };
    if ($what === 'a log taken back') {
        $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => (string) Str::ulid(), 'of' => $log['id'], 'at' => '2026-01-20T20:00:00+01:00']]])->assertNoContent();
    }
    $before = ($this->counts)();
    $this->deleteJson("/api/terms/{$this->term->id}")->assertConflict();
    expect(($this->counts)())->toBe($before);
})->with(['attendance', 'a mark', 'a log', 'a log taken back']);

test('students who were just added can be taken out, all of them or none', function () {
    $url = "/api/groups/{$this->group->id}/students";
    $added = $this->postJson($url, ['students' => ['Eve', 'Flo']])->json('added');
    $this->deleteJson($url, ['students' => [$added[0], (string) Str::uuid()]])->assertUnprocessable();
    expect(($this->counts)()[4])->toBe(5);
    $this->deleteJson($url, ['students' => $added])->assertNoContent();
    expect(($this->counts)()[4])->toBe(3);
});

test('a student with a record leaves, and the record stays', function () {
    $meeting = $this->meetings($this->term)[2];
    $this->putJson("/api/meetings/$meeting->id/attendance", ['attendance' => [$this->student => ['isHere' => false]]])->assertNoContent();
    $this->deleteJson("/api/groups/{$this->group->id}/students", ['students' => [$this->student]])
        ->assertNoContent();
    expect($this->getJson("/api/groups/{$this->group->id}")->json('students'))->toHaveCount(2);
    expect(($this->counts)()[4])->toBe(3);
});
