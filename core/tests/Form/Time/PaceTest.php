<?php

declare(strict_types=1);

use Gorvan\Core\Form\Breath;
use Gorvan\Core\Form\Time\BreathScript;
use Gorvan\Core\Form\Time\Pace;
use Gorvan\Core\Form\Time\RunThrough;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Tests\Sample;

test('half pace takes twice the time, a showing what the form says or four fifths', function () {
    $form = Sample::form([[]]);
    expect([Pace::ClassPace->factor($form), Pace::Half->factor($form), Pace::Showing->factor($form)])->toBe([1.0, 2.0, 0.8])
        ->and(Pace::Showing->factor(Sample::form([[]], ['showing_pace' => 0.7])))->toBe(0.7);
});

test('a count per side is done on both', function () {
    expect((new RunTime(Sample::form([['repetition' => '3 a side', 'breaths' => 1]], ['breath_seconds' => 5])))->secondsOf(1))->toBe(30.0);
});

test('the beats of a passage take as long as its run-through, the exhale a little longer than the inhale', function (Pace $pace, float $factor) {
    $form = Sample::form([['breaths' => 2], ['repetition' => '3', 'phases' => [['breath' => 'in'], ['breath' => 'pause'], ['breath' => 'out', 'cue' => 'sink']]], ['repetition' => '20 s'], ['kind' => 'extra']]);
    $beats = (new BreathScript)->of($form, 1, 4, $pace);
    expect(array_sum(array_map(fn ($beat) => $beat->seconds, $beats)))->toEqualWithDelta((new RunTime($form))->secondsBetween(1, 4) * $factor, 1e-9)
        ->and($beats[1]->seconds)->toBeGreaterThan($beats[0]->seconds)
        ->and($beats[1]->seconds / $beats[0]->seconds)->toBeLessThan(1.5); // "a little longer" (common practice)
    $second = array_values(array_filter($beats, fn ($beat) => $beat->position === 2));
    expect(array_map(fn ($beat) => [$beat->breath, $beat->time], array_slice($second, 0, 4)))->toBe([[Breath::In, 1], [Breath::Pause, 1], [Breath::Out, 1], [Breath::In, 2]])
        ->and($second[2]->cue)->toBe('sink');
})->with([[Pace::ClassPace, 1.0], [Pace::Half, 2.0], [Pace::Showing, 0.8]]);

test('an entry that lasts until told is one beat without an end', function () {
    $beats = (new BreathScript)->of(Sample::form([['repetition' => 'until told']]), 1, 1);
    expect([count($beats), $beats[0]->seconds])->toBe([1, null]);
});

test('a run-through is told by section, and what stands in none stands apart', function () {
    $form = Sample::form(
        [['kind' => 'opening'], ['breaths' => 1], ['repetition' => 'until told'], ['kind' => 'extra', 'breaths' => 9], ['breaths' => 3]],
        ['breath_seconds' => 5, 'sections' => [['title' => 'One', 'first' => 2, 'last' => 3], ['title' => 'Two', 'first' => 5, 'last' => 5]]],
    );
    $run = new RunThrough($form);
    $told = array_map(fn ($stretch) => [$stretch->title, $stretch->from, $stretch->to, $stretch->at(Pace::ClassPace), $stretch->assumed, $stretch->untilTold], $run->bySection());
    expect($told)->toBe([[null, 1, 1, 10.0, 1, 0], ['One', 2, 3, 5.0, 0, 1], [null, 4, 4, 0.0, 0, 0], ['Two', 5, 5, 15.0, 0, 0]])
        ->and($run->whole()->at(Pace::ClassPace))->toBe(30.0)
        ->and($run->whole()->at(Pace::Half))->toBe(60.0)
        ->and($run->whole()->at(Pace::Showing))->toBe(24.0)
        ->and($run->whole()->title)->toBe('T');
});

test('a form without sections has no stretches but the whole, and one that ends outside a section tells its end', function () {
    expect((new RunThrough(Sample::form([[], []])))->bySection())->toBe([]);
    $stretches = (new RunThrough(Sample::form([[], [], []], ['sections' => [['title' => 'One', 'first' => 1, 'last' => 2]]])))->bySection();
    expect(array_map(fn ($stretch) => [$stretch->title, $stretch->from, $stretch->to], $stretches))->toBe([['One', 1, 2], [null, 3, 3]]);
});
