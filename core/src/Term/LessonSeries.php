<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\Content\TeachingKind;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use Gorvan\Core\Lesson\CutScope;
use Gorvan\Core\Lesson\Lesson;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\OwnLessons;
use Gorvan\Core\Lesson\SideStretches;

/**
 * The lessons of a whole form in the order in which an approach gives them (engine 9): piece by piece once; outline first
 * twice, the second time in detail; sides first with a meeting after every two lessons that only joins them. Pure.
 */
final class LessonSeries
{
    /** Lessons between two that only join. */
    private const BETWEEN_JOINS = 2;

    /**
     * @return list<WrittenLesson> with ids `l1`, `l2`, … (`d` for detail, `j` for joins)
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public static function of(Form $form, Approach $approach, LessonCutter $cutter = new LessonCutter): array
    {
        $whole = CutScope::whole($form);
        $scope = $approach === Approach::SidesThenJoined ? new CutScope($whole->target, [], SideStretches::cuts($form, $whole->target)) : $whole;
        $own = OwnLessons::of($form);
        $lessons = match (true) {
            $approach === Approach::WholeSet => (new Course('pieces', $form, $whole->target, $approach))->pieces(),
            $own !== [] => OwnLessons::parted($own, array_keys(array_filter($scope->pins, static fn (?CutPin $pin): bool => $pin === CutPin::Always))),
            default => array_map(static fn (Lesson $one): Passage => new Passage($one->from, $one->to), $cutter->cut($form, scope: $scope)->lessons),
        };
        $fresh = array_map(static fn (int $at, Passage $lesson): WrittenLesson => new WrittenLesson('l'.($at + 1), $form->idsOf($lesson)), array_keys(array_values($lessons)), array_values($lessons));

        return match ($approach) {
            Approach::PieceByPiece, Approach::WholeSet => $fresh,
            Approach::OutlineFirst => [...$fresh, ...array_map(static fn (WrittenLesson $one): WrittenLesson => $one->with(['id' => 'd'.substr($one->id, 1), 'kind' => TeachingKind::Detail]), $fresh)],
            Approach::SidesThenJoined => self::withJoins($fresh),
        };
    }

    /**
     * @param  list<WrittenLesson>  $lessons
     * @return list<WrittenLesson>
     */
    private static function withJoins(array $lessons): array
    {
        $all = [];
        foreach (array_chunk($lessons, self::BETWEEN_JOINS) as $at => $some) {
            array_push($all, ...$some);
            if (count($some) === self::BETWEEN_JOINS) {
                $all[] = new WrittenLesson('j'.($at + 1), array_merge(...array_map(static fn (WrittenLesson $one): array => $one->entries, $some)), TeachingKind::Join);
            }
        }

        return $all;
    }
}
