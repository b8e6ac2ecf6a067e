<?php

declare(strict_types=1);

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Care\Caution;
use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Care\Joint;
use Gorvan\Core\Care\Spared;
use Gorvan\Core\Care\Strain;
use Gorvan\Core\Care\WarmUp;
use Gorvan\Core\Care\WarmUpKind;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Variant;
use Gorvan\Core\Term\CareNeed;
use Gorvan\Core\Term\CoursePlan;
use Gorvan\Core\Term\MeetingCare;
use Gorvan\Core\Term\MeetingKind;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\PlannedLesson;
use Gorvan\Core\Term\PlannedReview;
use Gorvan\Core\Term\WarmUpOutset;
use Gorvan\Core\Term\WarmUpPlanner;

function careForm(): Form
{
    $entry = fn (string $id, array $with = []) => (new Entry($id, EntryKind::Movement, $id))->with($with);

    return new Form('Care', [
        $entry('a', ['strains' => [Strain::DeepBend]]),
        $entry('b', ['oneLeg' => true, 'cautions' => [new Caution(Consideration::Balance, Adaptation::Support)]]),
        $entry('c', ['variants' => [new Variant('The hang', cautions: [new Caution(Consideration::LowerBack, Adaptation::Skip)])]]),
        $entry('d', ['joints' => [Joint::Wrist]]),
        $entry('e'),
    ]);
}

function carePlan(): MeetingPlan
{
    $course = new CoursePlan('k', new PlannedLesson(['d', 'e']), ['c'], [new PlannedReview(['a', 'b'], 3, 6.0)], ['b', 'c']);

    return new MeetingPlan('2026-11-25', 60, MeetingKind::Lesson, ['warm_up' => 8], [$course], warmUp: ['w1', 'gone']);
}

function careList(): WarmUpList
{
    return new WarmUpList([
        new WarmUp('w1', 'Knee circles', WarmUpKind::Joint, 2.0, [Joint::Knee], cautions: [new Caution(Consideration::Knee, Adaptation::Skip)]),
        new WarmUp('w2', 'Wrists', WarmUpKind::Joint, 2.0, [Joint::Wrist]),
        new WarmUp('w3', 'Hips', WarmUpKind::Joint, 4.0, [Joint::Hip]),
    ]);
}

test('who needs what is told by box and entry, for each student who is to be spared anything', function () {
    $care = (new MeetingCare)->of(carePlan(), ['k' => careForm()], careList(), ['s1' => new Spared([Consideration::Knee]), 's2' => new Spared([Consideration::Balance, Consideration::LowerBack]), 's3' => new Spared([]), 's4' => new Spared([Consideration::Other])]);
    $told = [];
    foreach ($care as $one) {
        $told[$one->student] = array_map(fn (CareNeed $need) => "{$need->box->value} $need->id ".implode(',', array_map(fn ($advice) => $advice->do->value ?? 'ask', $need->advice)), $one->needs);
    }
    expect($told)->toBe([
        's1' => ['warm_up w1 skip', 'review a ask', 'review b ask', 'run_through b ask'],
        's2' => ['review a ask', 'review b support', 'new c skip', 'run_through b support', 'run_through c skip'],
        's4' => [],
    ])->and($care[1]->needs[2]->advice[0]->variant)->toBe('The hang')
        ->and($care[2]->spared->asked())->toBe([Consideration::Other]);
});

test('a joint weighs 2 for each new entry that loads it and 1 for each that is gone through again', function () {
    $planner = new WarmUpPlanner;
    $outset = new WarmUpOutset(careList(), ['k' => careForm()]);
    // a: knee and hip by its deep bend; b: ankle and hip on one leg; d is new and names its wrist.
    expect($planner->loaded($outset, carePlan()))->toEqualCanonicalizing(['wrist' => 2, 'knee' => 1, 'hip' => 2, 'ankle' => 1])
        // Of 8 minutes, all three.
        ->and($planner->choose($outset, carePlan()))->toBe(['w1', 'w2', 'w3'])
        ->and((new WarmUpPlanner)->choose($outset, new MeetingPlan('2026-11-25', 60, MeetingKind::Lesson, ['warm_up' => 4], carePlan()->courses)))->toBe(['w1', 'w2']);
});

test('a plan carries its warm-ups, and comes back from its JSON with them', function () {
    $read = MeetingPlan::read(Gorvan\Core\Reading\JsonNode::parse(carePlan()->withWarmUp(['w2'])->json()));
    expect($read->warmUp)->toBe(['w2'])->and($read->courses)->toEqual(carePlan()->courses);
});
