<?php

declare(strict_types=1);

use App\Models\Course;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:00:00+01:00');
    $this->made = $this->school();
    $this->actingAs($this->made['user']);
    $this->form = $this->made['form']->id;
    $this->course = $this->inside($this->made['user']->school, fn () => Course::first()->id);
});

test('a size is tried beside the lessons as they are, and nothing of it is kept', function () {
    $bench = $this->getJson("/api/forms/$this->form/workbench?count=4")->assertOk()->json();
    expect(count($bench['tried']['lessons']))->toBe(4)
        ->and(count($bench['kept']['lessons']))->not->toBe(4)
        ->and($bench['size'])->toBe(['load' => null, 'count' => null, 'minutes' => null, 'minutesPerLoad' => null, 'movements' => null, 'lambda' => null])
        ->and($bench['tried']['heaviest'])->toEqualWithDelta(max(array_column($bench['tried']['lessons'], 'load')), 1e-9)
        ->and(count($this->getJson("/api/forms/$this->form")->json('lessons')))->toBe(count($bench['kept']['lessons']));
});

test('minutes of new work and of a simple movement make the size, and are remembered when kept', function () {
    $this->putJson("/api/forms/$this->form/cutting", ['minutes' => 20, 'minutesPerLoad' => 10, 'lambda' => 0])->assertOk();
    $bench = $this->getJson("/api/forms/$this->form/workbench")->assertOk()->json();
    expect($bench['kept']['target'])->toEqual(2.0)->and($bench['kept']['lambda'])->toEqual(0.0)
        ->and($bench['size'])->toEqual(['load' => null, 'count' => null, 'minutes' => 20, 'minutesPerLoad' => 10, 'movements' => null, 'lambda' => 0]);
    $this->putJson("/api/forms/$this->form/cutting", [])->assertOk();
    // Where nothing is said, lessons of the usual size are cut, and what they were meant to be is what they are.
    $bench = $this->getJson("/api/forms/$this->form/workbench")->json();
    expect($bench['size']['load'])->toBeNull()->and($bench['kept']['lessons'])->toBe($bench['tried']['lessons'])->and($bench['kept']['target'])->toEqual(array_sum(array_column($bench['kept']['lessons'], 'load')) / count($bench['kept']['lessons']));
});

test('movements make the size, and are remembered as that; the lessons kept are the ones that were shown', function () {
    $tried = $this->getJson("/api/forms/$this->form/workbench?movements=2")->assertOk()->json('tried');
    $form = $this->getJson("/api/forms/$this->form")->json();
    $movements = count(array_filter($form['entries'], fn (array $entry): bool => $entry['kind'] === 'movement'));
    expect($tried['target'])->toEqualWithDelta(2 * array_sum(array_column($tried['lessons'], 'load')) / $movements, 1e-6);
    $this->putJson("/api/forms/$this->form/cutting", ['movements' => 2])->assertOk();
    $bench = $this->getJson("/api/forms/$this->form/workbench")->json();
    expect($bench['size'])->toMatchArray(['movements' => 2, 'load' => null])->and($bench['kept']['lessons'])->toBe($tried['lessons'])->and($bench['pace'])->toBeNull();
    $this->putJson("/api/forms/$this->form/cutting", ['movements' => 2, 'count' => 3])->assertUnprocessable();
    $this->putJson("/api/forms/$this->form/cutting", ['movements' => 21])->assertUnprocessable()->assertJsonPath('code', 'cut.size.movements');
});

test('what is said on the workbench of a course is its pace, over what was said before, and can be taken back', function () {
    $said = fn (): array => array_values(array_intersect_key($this->getJson('/api/terms/'.$this->inside($this->made['user']->school, fn () => Course::first()->term_id))->json('courses.0'), ['saidMovements' => 1, 'saidMinutes' => 1]));
    $bench = fn (string $tried = ''): array => $this->getJson("/api/forms/$this->form/workbench?course=$this->course$tried")->assertOk()->json();
    expect($bench()['pace']['code'])->toBe('pace.is_usual')->and($said())->toBe([null, null]);
    $this->patchJson("/api/courses/$this->course", ['pace' => ['movements' => 1]])->assertOk();
    expect($bench()['size']['movements'])->toEqual(1)->and($bench()['pace']['code'])->toBe('pace.is_said');
    $tried = $bench('&movements=3');
    expect($tried['pace'])->toMatchArray(['code' => 'pace.is_said'])->and($tried['pace']['with']['pace'])->toBe(['code' => 'pace.movements', 'with' => ['count' => 3]])
        ->and(count($tried['tried']['lessons']))->toBeLessThan(count($bench('&movements=1')['tried']['lessons']));
    $change = $this->patchJson("/api/courses/$this->course", ['size' => ['movements' => 3]])->assertOk()->json('id');
    expect($said())->toEqual([3, null])->and($bench()['kept']['lessons'])->toBe($tried['tried']['lessons']);
    $this->postJson("/api/plan-changes/$change/take-back")->assertSuccessful();
    expect($said())->toEqual([1, null]);
    // How many lessons says nothing of the pace; minutes say it as minutes; as usual again says none.
    foreach ([[['count' => 3], [1, null]], [['minutesPerLoad' => 9], [null, 9]], [[], [null, null]]] as [$size, $is]) {
        $this->patchJson("/api/courses/$this->course", ['size' => $size])->assertOk();
        expect($said())->toEqual($is);
    }
});

test('a weight of stops that is said as it is usual moves no lesson', function () {
    $this->patchJson("/api/courses/$this->course", ['takesLessons' => true])->assertOk();
    $this->putJson("/api/forms/$this->form/cutting", ['count' => 3])->assertOk();
    $this->putJson("/api/forms/$this->form/joins", ['joins' => [['after' => 1, 'pin' => null, 'isCut' => true]]])->assertOk();
    foreach (['', "&course=$this->course"] as $of) {
        $bench = $this->getJson("/api/forms/$this->form/workbench?lambda=0.5".($of === '' ? '&count=3' : '&load=3').$of)->assertOk()->json();
        expect($bench['tried']['lessons'])->toBe($bench['kept']['lessons'], $of);
    }
});

test('what cannot be is a sentence with its numbers, and changes nothing', function (array $size, string $code) {
    $before = $this->getJson("/api/forms/$this->form")->json('lessons');
    $this->getJson("/api/forms/$this->form/workbench?".http_build_query($size))->assertUnprocessable()->assertJsonPath('code', $code);
    $this->putJson("/api/forms/$this->form/cutting", $size)->assertUnprocessable()->assertJsonPath('code', $code);
    $this->patchJson("/api/courses/$this->course", ['size' => $size])->assertUnprocessable();
    expect($this->getJson("/api/forms/$this->form")->json('lessons'))->toBe($before);
})->with([[['minutes' => 0.5], 'cut.size.minutes'], [['minutesPerLoad' => 100], 'cut.size.minutes_per_load'], [['lambda' => 11], 'cut.size.lambda'], [['count' => 99], 'cut.lessons']]);

test('the price of a notch is the cost of the cut it makes, less that of the best', function () {
    $prices = $this->getJson("/api/forms/$this->form/prices?count=3")->assertOk()->json();
    $dear = collect($prices['prices'])->first(fn ($one) => $one['price'] > 0.01);
    $bench = fn () => $this->getJson("/api/forms/$this->form/workbench?count=3")->json();
    expect($prices['best'])->toEqual($bench()['tried']['objective']);
    $this->putJson("/api/forms/$this->form/joins", ['joins' => [['after' => $dear['after'], 'pin' => 'always']]])->assertOk();
    $pinned = $bench();
    expect($pinned['tried']['objective'])->toEqualWithDelta($prices['best'] + $dear['price'], 1e-9)
        ->and($pinned['free']['objective'])->toEqual($prices['best'])
        ->and($pinned['tried']['dearer'])->toEqualWithDelta($dear['price'] / $prices['best'], 1e-9)
        // Taken up again, it is told against the best without it.
        ->and(collect($this->getJson("/api/forms/$this->form/prices?count=3&moving={$dear['after']}")->json('prices'))->firstWhere('after', $dear['after'])['price'])->toEqual($dear['price']);
});

test('a course is cut by its own hand and size, its term is planned again, and both can be taken back', function () {
    $lessons = fn () => $this->getJson("/api/forms/$this->form?course=$this->course")->json('lessons');
    $before = $lessons();
    $own = $this->getJson("/api/forms/$this->form")->json('lessons');
    $after = $before[0]['to'] === 1 ? 2 : 1;
    $change = $this->patchJson("/api/courses/$this->course", ['joins' => [['after' => $after, 'pin' => 'always']], 'size' => ['count' => 4]])->assertOk()->json();
    expect($lessons()[0]['to'])->toBe($after)->and(count($lessons()))->toBe(4)
        ->and($this->getJson("/api/forms/$this->form")->json('lessons'))->toBe($own)
        ->and($this->getJson("/api/forms/$this->form/workbench?course=$this->course")->json('size.count'))->toBe(4);
    $this->postJson("/api/plan-changes/{$change['id']}/take-back")->assertSuccessful();
    expect($lessons())->toBe($before)
        ->and($this->getJson("/api/forms/$this->form/workbench?course=$this->course")->json('size.count'))->toBeNull();
    $this->patchJson("/api/courses/$this->course", ['joins' => [['after' => 600, 'pin' => null]]])->assertUnprocessable();
});

test('a course of another form has no bench here', function () {
    $this->getJson("/api/forms/$this->form/workbench?course=".Illuminate\Support\Str::uuid())->assertUnprocessable()->assertJsonPath('code', 'course.unknown');
});
