<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\DrillStep;
use App\Models\KeptLesson;
use Gorvan\Core\Lesson\Content\PartnerDrill;

/** Keeps a row for each step of a lesson's partner drill, so that marks can name it. A step that was taken out keeps its row. */
final class KeepDrillSteps
{
    public function __invoke(KeptLesson $lesson, ?PartnerDrill $drill): void
    {
        $known = DrillStep::where('lesson_id', $lesson->id)->get()->keyBy('key');
        foreach ($drill->steps ?? [] as $step) {
            $row = $known[$step->id] ?? new DrillStep(['lesson_id' => $lesson->id, 'key' => $step->id]);
            $row->fill(['title' => $step->title])->save();
        }
    }
}
