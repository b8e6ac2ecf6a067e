<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\LessonInCut;
use App\Shared\Description\AsData;
use Gorvan\Core\Cue\CueView;
use Gorvan\Core\Form\Change\FormDifference;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Lesson\Content\Drill;
use Gorvan\Core\Lesson\Content\LessonContent;
use Gorvan\Core\Lesson\Content\LessonStep;
use Gorvan\Core\Lesson\Content\WrittenLesson;

/** All that a lesson holds: what the form says of it, and what is written. */
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
     * @param  list<CueView>  $views
     * @param  list<ChangedEntryData>  $changes  of its entries since it was last looked over
     */
    public function __construct(
        public ?int $number,
        public int $version,
        #[AsData(WrittenLesson::class)]
        public object $lesson,
        public ?float $load,
        public float $seconds,
        public ?PassageData $recap,
        public ?PassageData $runThrough,
        public array $entries,
        public array $gone,
        public array $was,
        public array $knownBefore,
        public array $drills,
        public array $steps,
        public array $views,
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
            array_map(static fn (LessonStep $step): LessonStepData => new LessonStepData($step->mode, $step->cues, $step->text), $content->steps),
            $content->views,
            array_values(array_map(static fn (string $id): ChangedEntryData => new ChangedEntryData($id, $form->positionOf($id) ?? 0, $form->positionOf($id) === null ? $id : $form->at((int) $form->positionOf($id))->title, array_map(FieldChangeData::of(...), $since->changed[$id] ?? [])), array_unique($touched))),
        );
    }
}
