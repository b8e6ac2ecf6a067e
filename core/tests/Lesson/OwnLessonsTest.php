<?php

declare(strict_types=1);

use Gorvan\Core\Form\Edit\KeepLessons;
use Gorvan\Core\Form\Edit\MoveEntry;
use Gorvan\Core\Form\Edit\RemoveEntries;
use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Form\File\PlainListReader;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\OwnLessons;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Course;

/** Twelve movements whose lessons are 1 to 4, 5 to 8 and 9 to 12. */
function withOwnLessons(): Form
{
    $form = (new PlainListReader)->read(implode("\n", array_map(static fn (int $n): string => "$n. Reed $n", range(1, 12))), 'Reeds')->form;
    $ids = static fn (int $from, int $to): array => array_map(static fn (int $n): string => sprintf('e%02d', $n), range($from, $to));

    return (new KeepLessons([$ids(1, 4), $ids(5, 8), $ids(9, 12)]))->apply($form);
}

/** @param  array<int, Passage>  $lessons */
function ownSpans(array $lessons): array
{
    return array_map(static fn (Passage $one): array => [$one->from, $one->to], $lessons);
}

test('a form keeps its lessons through its file, and a lesson that names what is not there is refused at its place', function () {
    $form = withOwnLessons();
    $file = (new FormFileWriter)->write($form);
    expect((new FormFileReader)->read($file)->form->lessons)->toBe($form->lessons);
    foreach (['"e12"' => '"e99"', '"e08"' => '"e01"'] as $from => $to) {
        $data = json_decode($file, true);
        $data['lessons'] = json_decode(str_replace($from, $to, json_encode($data['lessons'])), true);
        try {
            (new FormFileReader)->read(json_encode($data));
            test()->fail('it was read');
        } catch (BadInput $e) {
            expect($e->place)->toBe($from === '"e12"' ? '$.lessons[2][3]' : '$.lessons[1][3]');
        }
    }
});

test('what is taken out of a form is in no lesson, what is moved belongs where it stands, and every entry is in one', function () {
    $form = withOwnLessons();
    $less = (new RemoveEntries(['e05', 'e06', 'e07', 'e08']))->apply($form);
    expect(ownSpans(OwnLessons::of($less)))->toBe([1 => [1, 4], 2 => [5, 8]])
        ->and((new FormFileReader)->read((new FormFileWriter)->write($less))->form->lessons)->toHaveCount(2);
    // The last of the third lesson comes to stand in the first, and then the first of it in the second: the others stay where they were.
    $moved = (new MoveEntry('e12', 'e02'))->apply($form);
    expect(ownSpans(OwnLessons::of($moved)))->toBe([1 => [1, 5], 2 => [6, 9], 3 => [10, 12]]);
    $again = (new MoveEntry('e09', 'e06'))->apply($form);
    expect(ownSpans(OwnLessons::of($again)))->toBe([1 => [1, 4], 2 => [5, 9], 3 => [10, 12]]);
    mt_srand(28);
    for ($round = 0; $round < 200; $round++) {
        $any = $form;
        for ($n = 0; $n < 4; $n++) {
            [$one, $after] = [sprintf('e%02d', mt_rand(1, 12)), sprintf('e%02d', mt_rand(1, 12))];
            $any = $one === $after ? $any : (new MoveEntry($one, $after))->apply($any);
        }
        expect(array_merge(...array_map(static fn (Passage $one): array => $one->positions(), OwnLessons::of($any))))->toBe(range(1, 12));
    }
});

test('a target takes the lessons it lies in, with their numbers, and of one that goes on its part', function () {
    expect(ownSpans(OwnLessons::within(withOwnLessons(), new Passage(6, 10))))->toBe([2 => [6, 8], 3 => [9, 10]])
        ->and(OwnLessons::within((new PlainListReader)->read("1. A\n2. B", 'x')->form, new Passage(1, 2)))->toBe([]);
});

test('a hand that moves a notch moves that notch', function () {
    $form = withOwnLessons();
    $changed = $form->with(['lessons' => OwnLessons::changed($form, [4 => false, 6 => true])]);
    expect(ownSpans(OwnLessons::of($changed)))->toBe([1 => [1, 6], 2 => [7, 8], 3 => [9, 12]])
        ->and($form->with(['lessons' => OwnLessons::changed($changed, [4 => true, 6 => false])])->lessons)->toBe($form->lessons);
});

test('a course takes the lessons of its form as they are, whatever its minutes; else it cuts its own', function () {
    $form = withOwnLessons();
    $course = new Course('c', $form, new Passage(6, 12), Approach::PieceByPiece, takesLessons: true);
    $cut = $course->cut(new LessonCutter, [45], []);
    expect(array_map(static fn ($one): array => [$one->number, $one->from, $one->to], $cut->lessons))->toBe([[2, 6, 8], [3, 9, 12]])
        ->and(OwnLessons::are($form, $course->target, $cut->lessons))->toBeTrue();
    $own = $course->with(['takesLessons' => false])->cut(new LessonCutter, [45], []);
    expect($own->lessons[0]->number)->toBe(1)->and(OwnLessons::are($form, $course->target, $own->lessons))->toBeFalse()
        // Nothing is taken by a course that is only kept alive, nor by a set that is practised whole, whose pieces are its movements.
        ->and($course->with(['keeps' => [['e06']]])->taken())->toBe([])
        ->and($course->with(['approach' => Approach::WholeSet])->cut(new LessonCutter, [45], [])->lessons)->toHaveCount(7);
});

test('a side that is joined to the other parts a lesson of the form where they meet', function () {
    $list = "1. Part (L)\n2. Turn (L)\n3. Part (R)\n4. Turn (R)\n5. Close the gate";
    $form = (new PlainListReader)->read($list, 'Sides')->form;
    $form = (new KeepLessons([['e01', 'e02', 'e03'], ['e04', 'e05']]))->apply($form);
    $lessons = (new Course('c', $form, new Passage(1, 5), Approach::SidesThenJoined, takesLessons: true))->taken();
    expect(array_column(ownSpans($lessons), 1))->toContain(2)->toContain(4)->and(array_key_first($lessons))->toBe(1);
});
