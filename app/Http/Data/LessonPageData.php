<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\LessonInCut;
use Gorvan\Core\Cue\CueView;
use Gorvan\Core\Form\Change\FormDifference;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Lesson\Content\Drill;
use Gorvan\Core\Lesson\Content\LessonContent;
use Gorvan\Core\Lesson\Content\LessonStep;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use OpenApi\Attributes as OA;

/** All that a lesson holds: what the form says of it, and what is written. */
#[OA\Schema]
final readonly class LessonPageData
{
    /**
     * @param  int  $version  of what is written; 0 while nothing is
     * @param  object  $lesson  what is written, as gorvan.lessons/1 has it
     * @param  list<LessonEntryData>  $entries
     * @param  list<string>  $gone  ids it names that the form has no more
     * @param  list<int>  $was  positions it was written for, where those are others
     * @param  list<int>  $knownBefore
     * @param  list<LessonDrillData>  $drills
     * @param  list<LessonStepData>  $steps
     * @param  list<string>  $views
     * @param  list<ChangedEntryData>  $changes  of its entries since it was last looked over
     */
    public function __construct(
        #[OA\Property]
        public ?int $number,
        #[OA\Property]
        public int $version,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $lesson,
        #[OA\Property]
        public ?float $load,
        #[OA\Property]
        public float $seconds,
        #[OA\Property]
        public ?PassageData $recap,
        #[OA\Property]
        public ?PassageData $runThrough,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LessonEntryData::class))]
        public array $entries,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $gone,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $was,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $knownBefore,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LessonDrillData::class))]
        public array $drills,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LessonStepData::class))]
        public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $views,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ChangedEntryData::class))]
        public array $changes,
    ) {
    }

    /** @param  WrittenLesson  $written  for the entries of the lesson as it is cut */
    public static function of(LessonInCut $lesson, WrittenLesson $written, Form $form, ?FormDifference $since): self
    {
        $content = LessonContent::of($form, $written);
        $time = new RunTime($form);
        $touched = $since === null ? [] : array_intersect([...$lesson->entries, ...($lesson->written->entries ?? [])], $since->touched());

        return new self(
            $lesson->number,
            $lesson->row->version ?? 0,
            $written->toData(),
            $lesson->load,
            array_sum(array_map(static fn (int $at): float => $time->secondsOf($at) ?? 0.0, $content->entries)),
            PassageData::of($content->recap),
            PassageData::of($content->runThrough),
            array_map(static fn (int $at): LessonEntryData => LessonEntryData::of($content, $at), $content->entries),
            array_values(array_filter($lesson->written->entries ?? [], static fn (string $id): bool => $form->positionOf($id) === null)),
            $lesson->written === null || $lesson->written->entries === $lesson->entries ? [] : $form->positionsOf($lesson->written->entries),
            $content->knownBefore,
            array_map(static fn (Drill $one): LessonDrillData => new LessonDrillData($one->id, $one->title, $form->positionOf($one->parent), $one->text), $content->drills),
            array_map(static fn (LessonStep $step): LessonStepData => new LessonStepData($step->mode->value, $step->cues->value, $step->text), $content->steps),
            array_map(static fn (CueView $view): string => $view->value, $content->views),
            array_values(array_map(static fn (string $id): ChangedEntryData => new ChangedEntryData($id, $form->positionOf($id) ?? 0, $form->positionOf($id) === null ? $id : $form->at((int) $form->positionOf($id))->title, array_map(FieldChangeData::of(...), $since->changed[$id] ?? [])), array_unique($touched))),
        );
    }
}
