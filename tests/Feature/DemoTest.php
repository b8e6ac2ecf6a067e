<?php

declare(strict_types=1);

use App\Actions\GroupStandings;
use App\Actions\TaughtEntries;
use App\Http\Data\StudentData;
use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Meeting;
use App\Models\Student;
use Database\Demo\DemoSchool;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Loads the demo on a day and describes its evening group. */
function demoOn(string $day): array
{
    Carbon::setTestNow(new Carbon("$day 15:00", 'Europe/London'));
    $owner = app(DemoSchool::class)->load(fn () => null);
    app(CurrentSchool::class)->enter($owner->school);
    $group = Group::where('name', 'Evening long form')->firstOrFail();
    $score = $group->form->placed();
    $meeting = Meeting::where('on', $day)->firstOrFail();

    $taught = app(TaughtEntries::class)->by($group->id, $score, $day);
    $recap = $score->form->passageOf($meeting->planned()->courses[0]->recap);

    return [
        collect(app(GroupStandings::class)($group, $score, $day))->map(fn (array $one) => StudentData::of($one[0], $one[1], $taught, $recap))->keyBy('name'),
        $taught,
        $meeting,
    ];
}

test('the profiles lead to the standings they must, whatever day it is loaded', function (string $day) {
    [$students, $taught, $meeting] = demoOn($day);
    $names = ['steady' => 'Bastian O.', 'quick' => 'Isaura K.', 'away' => 'Merrin D.', 'cues' => 'Dunstan P.', 'late' => 'Jocasta L.'];
    $of = array_map(fn (string $name) => $students[$name], $names);
    expect($meeting->planned()->kind->value)->toBe('lesson')->and($meeting->standingLog())->toBeNull()->and(count($taught))->toBeGreaterThan(8)
        // steady: nearly everything taught is held, nothing missed
        ->and($of['steady']->frontier)->toBeGreaterThan(3)->and($of['steady']->missed)->toBe([])
        // quick: flowing or leading on what they were seen on, and no one's frontier is further
        ->and(collect($of['quick']->cells)->map(Tests\TestCase::cell(...))->pluck('support')->all())->toContain('Flowing')
        ->and($of['quick']->frontier)->toBe($students->max('frontier'))
        // away for a month: the lessons of that month were never met
        ->and($of['away']->missed)->not->toBe([])->and(max($of['away']->missed))->toBe(max($taught))
        // needs cues: recall grows, and nothing is ever held
        ->and($of['cues']->holding)->toBe(0)->and(collect($of['cues']->cells)->map(Tests\TestCase::cell(...))->pluck('support')->unique()->all())->not->toContain('Alone')
        // came late: joined in the middle, has met only what came round again, and is behind the steady
        ->and($of['late']->frontier ?? 0)->toBeLessThan($of['steady']->frontier);
})->with(['2026-11-24', '2026-03-31', '2027-01-02']);

test('the demo is a school of 31 with three groups and two thirds of a term', function () {
    [, , $meeting] = demoOn('2026-11-24');
    expect(Student::count())->toBe(31)->and(Group::count())->toBe(3)
        ->and($meeting->term->meetings()->count())->toBe(12)
        ->and($meeting->term->meetings()->whereHas('logs')->count())->toBe(8);
});

test('a start that finds the demo’s term over says so, and one that does not says nothing', function () {
    [, , $meeting] = demoOn('2026-11-24');
    app(CurrentSchool::class)->leave();
    $this->artisan('gorvan:demo')->doesntExpectOutputToContain('fresh-demo')->assertSuccessful();
    Carbon::setTestNow('2027-06-01');
    $this->artisan('gorvan:demo')->expectsOutputToContain('--fresh-demo')->assertSuccessful();
    expect(DB::scalar('select gorvan_demo_school()'))->toBe($meeting->school_id);
    app(CurrentSchool::class)->enter($this->schoolOf($meeting->school_id));
    expect(Student::count())->toBe(31);
});

test('what Today says by code is said with the words that are there before the first page is drawn', function () {
    [, , $meeting] = demoOn('2026-11-24');
    $owner = App\Models\User::where('email', DemoSchool::OWNER)->firstOrFail();
    $first = json_decode((string) file_get_contents(resource_path('js/messages/en/first/told.json')), true);
    $said = [];
    $walk = function (mixed $value) use (&$walk, &$said): void {
        if (is_array($value)) {
            if (is_string($value['code'] ?? null) && array_key_exists('with', $value)) {
                $said[] = $value['code'];
            }
            array_walk($value, $walk);
        }
    };
    $walk($this->actingAs($owner)->getJson('/api/today')->assertOk()->assertJsonPath('meetings.0.meeting.id', $meeting->id)->json());
    expect($said)->not->toBe([]);
    foreach (array_unique($said) as $code) {
        expect(Illuminate\Support\Arr::get($first, $code) ?? Illuminate\Support\Arr::get($first, "{$code}_other"))->toBeString($code);
    }
});
