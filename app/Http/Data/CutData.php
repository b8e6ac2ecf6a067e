<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Lesson\JoinRest;
use Gorvan\Core\Lesson\Lesson;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\RecapFinder;
use OpenApi\Attributes as OA;

/** One cut of a form, to be held beside another. */
#[OA\Schema]
final readonly class CutData
{
    /**
     * @param  list<CutLesson>  $lessons
     * @param  list<JoinData>  $joins
     */
    public function __construct(
        #[OA\Property]
        public float $target,
        #[OA\Property]
        public float $lambda,
        #[OA\Property]
        public float $objective,
        #[OA\Property]
        public float $lightest,
        #[OA\Property]
        public float $heaviest,
        #[OA\Property]
        public int $poorStops,
        #[OA\Property(description: 'how much more it costs than the best cut of this size, as a share; null where they are not compared')]
        public ?float $dearer,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CutLesson::class))]
        public array $lessons,
        #[OA\Property(type: 'array', items: new OA\Items(ref: JoinData::class))]
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
            array_map(static fn (JoinRest $join): JoinData => new JoinData($join->after, $join->rest, $join->pin?->value), $cut->joins),
        );
    }
}
