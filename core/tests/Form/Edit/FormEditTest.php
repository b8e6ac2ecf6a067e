<?php

declare(strict_types=1);

use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Tests\Said;
use Gorvan\Core\Tests\Sample;

/** @return list<string> "title first-last" */
function sectionsOf(Gorvan\Core\Form\Form $form): array
{
    return array_map(fn ($section) => "$section->title $section->first-$section->last", $form->sections);
}

beforeEach(function () {
    $this->form = Sample::form([[], [], [], [], []], ['sections' => [['title' => 'One', 'first' => 1, 'last' => 2], ['title' => 'Two', 'first' => 3, 'last' => 5]]]);
});

test('entries come, go and move, and the sections go with them', function (array $edit, array $ids, array $sections) {
    $edited = Sample::edited($this->form, [$edit]);
    expect(Sample::ids($edited))->toBe($ids)->and(sectionsOf($edited))->toBe($sections);
})->with([
    'insert' => [['op' => 'insert', 'after' => 'b', 'entries' => [['id' => 'x', 'kind' => 'movement', 'title' => 'X']]], ['a', 'b', 'x', 'c', 'd', 'e'], ['One 1-3', 'Two 4-6']],
    'insert first' => [['op' => 'insert', 'after' => null, 'entries' => [['id' => 'x', 'kind' => 'movement', 'title' => 'X']]], ['x', 'a', 'b', 'c', 'd', 'e'], ['One 1-3', 'Two 4-6']],
    'remove' => [['op' => 'remove', 'ids' => ['a', 'b', 'd']], ['c', 'e'], ['Two 1-2']],
    'move down' => [['op' => 'move', 'id' => 'b', 'after' => 'c'], ['a', 'c', 'b', 'd', 'e'], ['One 1-1', 'Two 2-5']],
    'move up' => [['op' => 'move', 'id' => 'e', 'after' => null], ['e', 'a', 'b', 'c', 'd'], ['One 1-3', 'Two 4-5']],
    'move nowhere' => [['op' => 'move', 'id' => 'b', 'after' => 'b'], ['a', 'b', 'c', 'd', 'e'], ['One 1-2', 'Two 3-5']],
    'a section begins' => [['op' => 'section', 'id' => 'd', 'title' => 'Three'], ['a', 'b', 'c', 'd', 'e'], ['One 1-2', 'Two 3-3', 'Three 4-5']],
    'a section is renamed' => [['op' => 'section', 'id' => 'c', 'title' => 'Other'], ['a', 'b', 'c', 'd', 'e'], ['One 1-2', 'Other 3-5']],
    'a section ends' => [['op' => 'section', 'id' => 'c', 'title' => null], ['a', 'b', 'c', 'd', 'e'], ['One 1-5']],
]);

test('an entry splits in two and merges back into one', function () {
    $form = Sample::form([['title' => 'Part, tease', 'number' => 7, 'breaths' => 2, 'weight_end' => 100, 'cut' => 'never', 'phases' => [['breath' => 'in'], ['breath' => 'out']]], ['returns' => 'a']]);
    $split = Sample::edited($form, [['op' => 'split', 'id' => 'a', 'as' => 'a2']]);
    [$first, $second] = $split->entries;
    expect([$first->title, $second->title, $first->number, $second->number])->toBe(['Part', 'tease', 7, null])
        ->and([$first->breaths, $second->breaths])->toBe([1.0, 1.0])
        ->and([count($first->phases), count($second->phases)])->toBe([1, 1])
        ->and([$first->weightEnd, $second->weightEnd?->from, $first->cut, $second->cut?->value])->toBe([null, 100.0, null, 'never']);
    $merged = Sample::edited($split, [['op' => 'merge', 'id' => 'a']]);
    expect((new FormFileWriter)->write($merged))->toBe((new FormFileWriter)->write($form));
});

test('merging adds turns and walks the second part in the frame the first leaves', function () {
    $form = Sample::form([['turn' => 90, 'travel' => [1, 0], 'steps' => 1, 'side' => 'left'], ['turn' => 45, 'travel' => [2, 0], 'steps' => 2, 'side' => 'right'], ['mirrors' => 'b']]);
    $merged = Sample::edited($form, [['op' => 'merge', 'id' => 'a']]);
    expect([$merged->at(1)->turn, $merged->at(1)->travel, $merged->at(1)->steps, $merged->at(1)->side?->value])->toBe([135.0, [1.0, 2.0], 3, 'both'])
        ->and($merged->at(2)->mirrors)->toBe('a');
});

test('duplicated as mirrored: sides, turns, first step, weight, travel, repetition and cues are exchanged', function () {
    $mirrored = Sample::edited(Sample::whole(), [['op' => 'mirror', 'id' => 'b', 'as' => 'm'], ['op' => 'set', 'id' => 'b', 'fields' => ['repetition' => 'L-R-L']]])->at(3);
    expect($mirrored->mirrors)->toBe('b')
        ->and([$mirrored->side?->value, $mirrored->startSide?->value, $mirrored->firstStep?->value])->toBe(['right', 'right', 'right'])
        ->and([$mirrored->turn, $mirrored->travel])->toBe([90.0, [1.0, 0.5]])
        ->and([$mirrored->weightEnd?->from, $mirrored->weightEnd?->to])->toBe([90.0, 95.0])
        ->and($mirrored->cues)->toBe(["turn from the waist to the {R}\u{2013}slowly"])
        ->and($mirrored->checks)->toBe(['the {R} heel comes down first'])
        ->and([$mirrored->phases[0]->cue, $mirrored->phases[0]->gaze, $mirrored->phases[0]->weight?->from])->toBe(['draw the {R} elbow in', 'over the {R} hand', 20.0])
        ->and($mirrored->cautions[0]->text)->toBe('A wall on the {L}.')
        ->and([$mirrored->number, $mirrored->booklet])->toBe([null, null]);
});

test('mirrored twice is the same again', function () {
    $form = Sample::form([['title' => 'Turn left', 'side' => 'left', 'turn' => -45, 'repetition' => 'L-R-L', 'first_step' => 'right', 'weight_end' => [0, 10], 'travel' => [1, 2]]]);
    $twice = Sample::edited($form, [['op' => 'mirror', 'id' => 'a', 'as' => 'm'], ['op' => 'mirror', 'id' => 'm', 'as' => 'n']]);
    expect($twice->at(2)->title)->toBe('Turn right')
        ->and($twice->at(3)->with(['id' => 'a', 'mirrors' => null]))->toEqual($form->at(1));
});

test('renumbering numbers what the count includes and nothing else', function () {
    $form = Sample::form([['kind' => 'opening'], ['number' => 5], [], ['kind' => 'connector', 'number' => 9], ['kind' => 'closing', 'number' => 2]]);
    expect(array_map(fn ($entry) => $entry->number, Sample::edited($form, [['op' => 'renumber', 'from' => 3]])->entries))->toBe([null, 3, 4, null, 5]);
});

test('cells are written as typed, and what stands beside them stays', function () {
    $edited = Sample::edited(Sample::whole(), [['op' => 'set', 'id' => 'b', 'cells' => ['side' => 'R', 'turn' => '−45°', 'travel' => '2; 1', 'weight_end' => '0-10', 'breaths' => '2,5', 'one_leg' => 'x', 'booklet_page' => '', 'aliases' => "云 [zh-Hans]\nCloud", 'rest' => '']]])->at(2);
    expect([$edited->side?->value, $edited->turn, $edited->travel, $edited->weightEnd?->to, $edited->breaths, $edited->oneLeg, $edited->rest])->toBe(['right', -45.0, [2.0, 1.0], 10.0, 2.5, true, null])
        ->and([$edited->booklet?->number, $edited->booklet?->page])->toBe(['1a', null])
        ->and([$edited->aliases[0]->lang, $edited->aliases[1]->text])->toBe(['zh-Hans', 'Cloud'])
        ->and($edited->phases)->toHaveCount(2);
});

test('what cannot be is refused at its place, and nothing is changed', function (array $edit, string $place, string $reason) {
    try {
        Sample::edited($this->form, [$edit]);
    } catch (BadInput $e) {
        expect($e->place)->toBe($place)->and(Said::of($e->reason))->toContain($reason);

        return;
    }
    $this->fail('It was accepted.');
})->with([
    'a cell' => [['op' => 'set', 'id' => 'b', 'cells' => ['turn' => 'half']], 'b.turn', '"half" is not a number'],
    'a field' => [['op' => 'set', 'id' => 'b', 'fields' => ['phases' => [['breath' => 'up']]]], 'b.phases[0].breath', 'must be one of'],
    'of the form' => [['op' => 'form', 'fields' => ['breath_seconds' => 0]], 'form.breath_seconds', 'must be'],
    'an entry that is gone' => [['op' => 'merge', 'id' => 'zz'], 'zz', 'not in the form any more'],
    'the last one' => [['op' => 'merge', 'id' => 'e'], 'e', 'no entry after'],
    'all of them' => [['op' => 'remove', 'ids' => ['a', 'b', 'c', 'd', 'e']], '$.entries', 'at least one entry'],
    'an id in use' => [['op' => 'mirror', 'id' => 'a', 'as' => 'e'], '$.entries[5].id', 'is also the id'],
    'no such edit' => [['op' => 'burn'], '$[0].op', 'is no edit'],
]);
