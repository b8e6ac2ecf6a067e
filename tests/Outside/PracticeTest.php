<?php

declare(strict_types=1);

/*
 * Facts of the trade, each marked "common practice": nothing here has a published source.
 */

use App\Actions\ReadForm;
use Gorvan\Core\Form\PlainListReader;
use Gorvan\Core\Form\RunTime;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\RestModel;
use Gorvan\Core\Term\Box;
use Gorvan\Core\Term\MeetingBoxes;

test('7 x 7 heel drops are 49 (common practice)', function () {
    expect((new PlainListReader)->read('1. Heel drops (7x7)')->form->at(1)->repetition?->times)->toBe(49);
});

test('three steps announced, alternating from the left, end left (common practice)', function () {
    expect((new PlainListReader)->read('1. Step (L-R-L)')->form->at(1)->repetition?->endingSide())->toBe(Side::Left);
});

test('timed holds last as long as they say: 6 to 20 seconds in a set, 15 minutes in a retreat (common practice)', function (string $hold, float $seconds) {
    $form = (new PlainListReader)->read("1. Stand ($hold)")->form;
    expect((new RunTime($form))->secondsOf(1))->toBe($seconds);
})->with([
    ['6 s', 6.0],
    ['20 s', 20.0],
    ['15 min', 900.0],
]);

test('a class night of 45 to 90 minutes has every box, and at least 8 minutes of warm-up (common practice)', function () {
    for ($minutes = 45; $minutes <= 90; $minutes++) {
        $boxes = MeetingBoxes::unplanned($minutes);
        expect(min($boxes->all()))->toBeGreaterThan(0)
            ->and($boxes->minutes(Box::WarmUp))->toBeGreaterThanOrEqual(8);
    }
});

test('a lesson does not part the two sides of a movement where it can help it (common practice)', function () {
    $lines = [];
    for ($pair = 1; $pair <= 12; $pair++) {
        $lines[] = "Movement $pair (L)";
        $lines[] = "Movement $pair (R)";
    }
    $form = (new PlainListReader)->read(implode("\n", $lines))->form;
    foreach ((new LessonCutter)->cut($form, 3.8)->lessons as $lesson) {
        expect($lesson->to % 2)->toBe(0);
    }
});

test('the demo’s long form is one a teacher could teach: every section ends where one may rest (common practice)', function () {
    $form = (new ReadForm)((string) file_get_contents(base_path('database/demo/marsh-lantern.json')))->form;
    $rests = (new RestModel)->of($form);
    foreach (array_slice($form->sections, 0, -1) as $section) {
        expect($rests[$section->last - 1]->rest)->toBeGreaterThanOrEqual(0.6, $section->title);
    }
    $movements = array_filter($form->entries, fn ($entry) => $entry->number !== null);
    $turn = array_sum(array_map(fn ($entry) => $entry->turn ?? 0.0, $form->entries));
    expect($movements)->toHaveCount(72)
        ->and($form->announced)->toBe(72)
        ->and(fmod($turn, 360.0))->toBe(0.0); // opening and closing face the same way
});

test('the demo’s form names nothing that is widely filmed, and no entry twice without saying so', function () {
    $form = (new ReadForm)((string) file_get_contents(base_path('database/demo/marsh-lantern.json')))->form;
    $seen = [];
    foreach ($form->entries as $entry) {
        $key = $entry->title.($entry->side->value ?? '');
        expect(isset($seen[$key]) === ($entry->returns !== null))->toBeTrue($entry->id);
        $seen[$key] = true;
    }
});
