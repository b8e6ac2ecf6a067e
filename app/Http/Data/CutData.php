<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Lesson\JoinRest;
use Gorvan\Core\Lesson\Lesson;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\RecapFinder;

/** One cut of a form, to be held beside another. */
final readonly class CutData
{
    /**
     * @param  list<CutLesson>  $lessons
     * @param  list<JoinData>  $joins
     * @param  float|null  $dearer  how much more it costs than the best cut of this size, as a share; null where they are not compared
     */
    public function __construct(
        public float $target,
        public float $lambda,
        public float $objective,
        public float $lightest,
        public float $heaviest,
        public int $poorStops,
        public ?float $dearer,
        public array $lessons,
        public array $joins,
    ) {
    }

    public static function of(Form $form, LessonCut $cut, LessonCut $best): self
    {
        $recaps = new RecapFinder($form, $cut->joins);
        [$lightest, $heaviest] = $cut->range();

        return new self(
            $cut->target, $cut->lambda, $cut->objective, $lightest, $heaviest, $cut->poorStops(), $cut->dearerThan($best),
            array_map(static fn (Lesson $lesson): CutLesson => new CutLesson($lesson->number, $lesson->from, $lesson->to, $lesson->load, PassageData::of($recaps->before($lesson->from))), $cut->lessons),
            array_map(static fn (JoinRest $join): JoinData => new JoinData($join->after, $join->rest, $join->pin), $cut->joins),
        );
    }
}
