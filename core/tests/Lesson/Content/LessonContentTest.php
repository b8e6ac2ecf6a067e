<?php

declare(strict_types=1);

use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Care\Spared;
use Gorvan\Core\Cue\CueFading;
use Gorvan\Core\Cue\CueView;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\Content\BiteDifference;
use Gorvan\Core\Lesson\Content\LessonContent;
use Gorvan\Core\Lesson\Content\LessonsFile;
use Gorvan\Core\Lesson\Content\PartnerDrill;
use Gorvan\Core\Lesson\Content\StepMode;
use Gorvan\Core\Lesson\Content\TeachingKind;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\LessonSeries;
use Gorvan\Core\Tests\Said;
use Gorvan\Core\Tests\Sample;

/** @param  array<string, mixed>  $says */
function writtenLesson(array $says): WrittenLesson
{
    return WrittenLesson::read(JsonNode::parse(json_encode(['id' => 'l1', ...$says], JSON_THROW_ON_ERROR)));
}

test('an entry on the other side is compared field by field with the first one reversed', function () {
    $form = Sample::form([
        ['side' => 'centre', 'weight_end' => 50],
        ['side' => 'left', 'first_step' => 'left', 'turn' => -90, 'weight_end' => 90, 'travel' => [1, -0.5], 'breaths' => 2],
        ['side' => 'centre', 'weight_end' => 80],
        // Reversed it would step right, turn 90 to the right, and end with 90 % on the right.
        ['mirrors' => 'b', 'side' => 'right', 'first_step' => 'right', 'turn' => 45, 'weight_end' => 30, 'travel' => [1, 0.5], 'breaths' => 3, 'title' => 'B'],
    ]);
    $bite = BiteDifference::of($form, 4);
    expect($bite?->like)->toBe(2)->and($bite?->isMirrored)->toBeTrue()
        ->and(Said::all($bite->differs ?? []))->toBe(implode("\n", [
            'it begins with 80 % on the left foot, not with the weight on both feet',
            'it takes 3 breaths, not 2',
            'it ends with 70 % on the right foot, not with 90 % on the right foot',
            'the turn is 45° to the right, not 90° to the right',
        ]));
});

test('differences are read aloud: one step is one step, and where nothing turns or travels it says so', function () {
    $form = Sample::form([['side' => 'left', 'steps' => 2, 'turn' => 90, 'travel' => [1, 0]], ['mirrors' => 'a', 'side' => 'right', 'steps' => 1, 'turn' => 0, 'travel' => [0, 0]]]);
    expect(Said::all(BiteDifference::of($form, 2)->differs ?? []))->toBe("it has 1 step, not 2\nthe turn is none, not 90° to the left\nit goes on the spot, not 1 step forward");
});

test('what only one of the two says is no difference, and an exact mirror has none', function () {
    $form = Sample::form([
        ['side' => 'left', 'turn' => -90, 'stance' => 'empty', 'cues' => ['turn {L}']],
        ['mirrors' => 'a', 'side' => 'right', 'turn' => 90, 'breaths' => 3, 'checks' => ['level']],
    ]);
    expect(BiteDifference::of($form, 2)?->differs)->toBe([])->and(BiteDifference::of($form, 1))->toBeNull();
});

test('phases are compared one by one, and what the teacher said of the second side is told', function () {
    $form = Sample::form([
        ['side' => 'left', 'phases' => [['breath' => 'in', 'hand' => 'palm by the {L} hip', 'weight' => 80], ['breath' => 'out']], 'differs' => [['nth' => 2, 'of' => 'sides', 'how' => 'both hands are already up']]],
        ['mirrors' => 'a', 'side' => 'right', 'phases' => [['breath' => 'out', 'hand' => 'palm by the {R} hip', 'weight' => 20], ['breath' => 'out'], ['breath' => 'in']]],
    ]);
    expect(Said::all(BiteDifference::of($form, 2)->differs ?? []))->toBe("it has 3 parts, not 2\nin part 1 the breath is \"out\", not \"in\"\nboth hands are already up");
});

test('an entry that returns is compared as it is, and the join into it is the new thing', function () {
    $form = Sample::form([
        ['title' => 'Gather'], ['title' => 'Heron', 'weight_end' => 100], ['title' => 'Wade'], ['title' => 'Turn'],
        ['title' => 'Heron', 'returns' => 'b', 'weight_end' => 100], ['title' => 'Wade', 'returns' => 'c'],
    ]);
    $heron = BiteDifference::of($form, 5);
    $wade = BiteDifference::of($form, 6);
    expect([$heron?->isMirrored, $heron?->differs, $heron?->before, $heron?->beforeThere])->toBe([false, [], 4, 1])
        ->and($heron?->hasNewJoin($form))->toBeTrue()
        ->and($wade?->hasNewJoin($form))->toBeFalse(); // it comes after the Heron here as there
});

test('cues fade from all of them to key words, the first word, and none; what a teacher marked is the key', function () {
    $cue = 'Turn from the waist to the {L}, then let the heel fall.';
    expect(CueFading::All->left($cue))->toBe($cue)
        ->and(CueFading::KeyWords->left($cue))->toBe('Turn waist {L}, heel fall')
        ->and(CueFading::FirstWord->left($cue))->toBe('Turn')
        ->and(CueFading::None->left($cue))->toBeNull()
        ->and(CueFading::KeyWords->left('Let the *waist* lead, the arm *follows*'))->toBe('waist … follows')
        ->and(CueFading::All->left('Let the *waist* lead'))->toBe('Let the waist lead')
        ->and(CueFading::KeyWords->of(['of the', '松腰', 'sink']))->toBe(['松腰', 'sink']);
});

test('a lesson holds what the form says of its entries, and what the teacher adds stands beside it', function () {
    $form = Sample::form([
        ['kind' => 'opening', 'title' => 'Opening'],
        ['title' => 'Gather'],
        ['title' => 'Heron', 'checks' => ['the {L} knee stays up'], 'errors' => [['wrong' => 'leaning', 'right' => 'upright']], 'drills' => ['Stand and lift'], 'one_leg' => true, 'cautions' => [['for' => 'balance', 'do' => 'support']]],
        ['kind' => 'extra', 'title' => 'Shake out'],
        ['title' => 'Wade', 'cues' => ['walk the hip']],
    ], ['sections' => [['title' => 'Bank', 'first' => 2, 'last' => 5]]]);
    $content = LessonContent::of($form, writtenLesson(['entries' => ['e', 'c', 'gone'], 'checks' => ['nobody holds their breath'], 'steps' => [['mode' => 'alone', 'cues' => 'first_word']], 'views' => ['same']]));
    expect($content->entries)->toBe([3, 5])->and($content->gone)->toBe(['gone'])
        ->and($content->recap)->toEqual(new Passage(1, 2))
        ->and($content->runThrough)->toEqual(new Passage(2, 5))
        ->and($content->checks())->toBe([0 => ['nobody holds their breath'], 3 => ['the {L} knee stays up']])
        ->and($content->ownDrills())->toBe([3 => ['Stand and lift']])
        ->and(array_keys($content->cautions()))->toBe([3])->and(array_keys($content->errors()))->toBe([3])
        ->and(array_map(fn ($strains) => $strains[0]->value, $content->strains()))->toBe([3 => 'one_leg'])
        ->and($content->cues(CueFading::FirstWord))->toBe([5 => ['walk']])
        ->and($content->steps[0]->mode)->toBe(StepMode::AloneChecked)->and($content->views)->toBe([CueView::SameDirection]);
});

test('a new lesson is first watched, then done together, then alone with no cue left (common practice)', function () {
    $steps = TeachingKind::Fresh->usualSteps();
    expect(array_map(fn ($step) => $step->mode->value, $steps))->toBe(['watch', 'together', 'together', 'alone'])
        ->and(array_map(fn ($step) => $step->cues->value, $steps))->toBe(['all', 'all', 'key_words', 'none']);
    foreach (TeachingKind::cases() as $kind) {
        // Cues only ever get fewer.
        $left = array_map(fn ($step) => array_search($step->cues, CueFading::cases(), true), $kind->usualSteps());
        $sorted = $left;
        sort($sorted);
        expect($left)->toBe($sorted, $kind->value);
    }
});

test('drills come in an order in which each can be done, with those they come after, and say what must be known', function () {
    $form = Sample::form([['title' => 'Gather'], ['title' => 'Heron'], ['title' => 'Heron again', 'returns' => 'b'], ['title' => 'Wade']]);
    $drills = [
        ['id' => 'step', 'title' => 'Empty step', 'parent' => 'd', 'after' => ['shift', 'a']],
        ['id' => 'shift', 'title' => 'Shift', 'parent' => 'a'],
        ['id' => 'other', 'title' => 'Other', 'parent' => 'a'],
    ];
    $content = LessonContent::of($form, writtenLesson(['entries' => ['c', 'd'], 'drills' => $drills]));
    expect(array_column($content->drills, 'id'))->toBe(['shift', 'step'])
        ->and($content->knownBefore)->toBe([1, 2]); // Gather, which the drill asks for, and the Heron that returns
});

test('drills that come after each other in a circle are refused with the way round', function () {
    expect(Said::refused(fn () => writtenLesson(['entries' => ['a'], 'drills' => [
        ['id' => 'x', 'title' => 'Ex', 'parent' => 'a', 'after' => ['y']], ['id' => 'y', 'title' => 'Why', 'parent' => 'a', 'after' => ['x']],
    ]])))->toBe('$.drills[0].after: these come after each other in a circle: Ex, Why and Ex; take one of them out of what comes before the next');
});

test('a partner drill is not for those at risk unless the teacher says so, and only its last step has a limit (common practice: 2 to 5 s)', function () {
    $drill = PartnerDrill::read(JsonNode::parse('{"entry":"a","steps":[{"id":"s1","title":"a hand’s weight"},{"id":"s2","title":"a steady push"}],"limit":3}'));
    expect($drill->limitOf(0))->toBeNull()->and($drill->limitOf(1))->toBe(3.0)
        ->and($drill->isFor(new Spared([])))->toBeTrue()
        ->and($drill->isFor(new Spared([Consideration::Knee])))->toBeTrue()
        ->and($drill->isFor(new Spared([], isCareful: true)))->toBeFalse()
        ->and($drill->isFor(new Spared([], isFirstTime: true)))->toBeFalse();
    foreach ([Consideration::Dizziness, Consideration::Balance, Consideration::Neck, Consideration::BreathOrHeart, Consideration::Pregnancy, Consideration::RecentSurgery] as $at) {
        expect($drill->isFor(new Spared([$at])))->toBeFalse($at->value);
    }
    expect(Said::refused(fn () => PartnerDrill::read(JsonNode::parse('{"entry":"a","steps":[],"limit":1.5}'))))->toContain('$.limit')
        ->and(Said::refused(fn () => PartnerDrill::read(JsonNode::parse('{"entry":"a","steps":[],"limit":5.5}'))))->toContain('$.limit')
        ->and(PartnerDrill::read(JsonNode::parse('{"entry":"a","steps":[],"not_for":[]}'))->isFor(new Spared([Consideration::Neck])))->toBeTrue();
});

test('a lesson comes back from its file as it went, with what is not understood', function () {
    $form = Sample::whole();
    $lesson = writtenLesson([
        'title' => 'The turner', 'kind' => 'detail', 'entries' => ['b', 'c'], 'note' => 'slowly', 'bite' => 'the hands wait', 'steps' => [], 'views' => ['behind', 'facing'],
        'checks' => ['level'], 'errors' => [['wrong' => 'x', 'right' => 'y']], 'cautions' => [['for' => 'knee', 'do' => 'smaller']], 'variants' => [['title' => 'By a chair', 'reason' => 'seated']],
        'drills' => [['id' => 'd', 'title' => 'D', 'parent' => 'b', 'after' => ['a'], 'text' => 't', 'mood' => 'light']], 'run_from' => 'a',
        'partner' => ['entry' => 'b', 'contact' => 'forearms', 'steps' => [['id' => 's', 'title' => 'S']], 'limit' => 2, 'not_for' => []], 'weather' => 'rain',
    ]);
    $text = LessonsFile::written($form, [$lesson, new WrittenLesson('l2', ['d'])]);
    [$read, $warnings] = LessonsFile::read($text, $form);
    expect($read)->toEqual([$lesson, new WrittenLesson('l2', ['d'])])
        ->and(Said::all($warnings))->toBe('$.lessons[0]: "weather" is not known to gorvan.lessons/1 and is kept as it is')
        ->and(Said::refused(fn () => LessonsFile::read(str_replace('"c"', '"zz"', $text), $form)))->toBe('$.lessons[0].entries[1]: "zz" is neither an entry of this form nor a drill that stands here')
        ->and(Said::refused(fn () => LessonsFile::read(str_replace('"parent": "b"', '"parent": "q"', $text), $form)))->toContain('$.lessons[0].drills[0].parent')
        ->and(Said::refused(fn () => LessonsFile::read(str_replace('"l2"', '"l1"', $text), $form)))->toContain('$.lessons[1].id');
});

test('an approach gives the lessons of a form in its own order', function () {
    $form = Sample::form(array_fill(0, 12, []));
    $of = fn (Approach $approach) => array_map(fn ($lesson) => [$lesson->id, $lesson->kind->value], LessonSeries::of($form, $approach));
    expect($of(Approach::PieceByPiece))->toBe([['l1', 'new'], ['l2', 'new'], ['l3', 'new'], ['l4', 'new']])
        ->and(array_column($of(Approach::OutlineFirst), 1))->toBe(['new', 'new', 'new', 'new', 'detail', 'detail', 'detail', 'detail'])
        ->and(array_column($of(Approach::SidesThenJoined), 0))->toBe(['l1', 'l2', 'j1', 'l3', 'l4', 'j2']);
    foreach (Approach::cases() as $approach) {
        $fresh = array_filter(LessonSeries::of($form, $approach), fn ($lesson) => $lesson->kind === TeachingKind::Fresh);
        expect(array_merge(...array_column($fresh, 'entries')))->toBe($form->idsOf(new Passage(1, 12)));
    }
});
