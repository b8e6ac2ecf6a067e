<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Content;

use Gorvan\Core\Cue\CueFading;

/** What a lesson is for (engine 17). */
enum TeachingKind: string
{
    case Fresh = 'new';
    case Detail = 'detail';
    case Join = 'join';
    case Review = 'review';
    case Consolidation = 'consolidation';
    case Principle = 'principle';
    /** Known material at half depth, before anything that asks more (*practice*). */
    case CheckIn = 'check_in';
    case Partner = 'partner';
    case NothingNew = 'nothing_new';

    /** Whether it brings something that is new to the class. */
    public function bringsNew(): bool
    {
        return $this === self::Fresh || $this === self::Partner;
    }

    /**
     * How a lesson of this kind usually goes (*practice*): first watch, then together slowly, then alone while somebody
     * checks, with fewer cues each time.
     *
     * @return list<LessonStep>
     */
    public function usualSteps(): array
    {
        $watch = new LessonStep(StepMode::Watch, CueFading::All);
        $alone = new LessonStep(StepMode::AloneChecked, CueFading::None);

        return match ($this) {
            self::Fresh, self::Detail, self::Partner => [$watch, new LessonStep(StepMode::Together, CueFading::All), new LessonStep(StepMode::Together, CueFading::KeyWords), $alone],
            self::Join => [new LessonStep(StepMode::Together, CueFading::KeyWords), new LessonStep(StepMode::Together, CueFading::FirstWord), $alone],
            self::Principle => [$watch, new LessonStep(StepMode::Together, CueFading::FirstWord), $alone],
            self::Review, self::Consolidation, self::NothingNew => [new LessonStep(StepMode::Together, CueFading::FirstWord), $alone],
            self::CheckIn => [new LessonStep(StepMode::Together, CueFading::KeyWords)],
        };
    }
}
