<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\TonightPartner;
use Gorvan\Core\Lesson\Content\PartnerStep;

/** A partner drill a class can do. */
final readonly class PartnerData
{
    /**
     * @param  string  $lesson  id of the lesson it stands in
     * @param  int  $position  of the entry it comes from
     * @param  list<PartnerStepData>  $steps  each with more pressure than the one before
     * @param  list<string>  $aside  students who do not take part; why is not told here
     */
    public function __construct(
        public string $lesson,
        public string $courseId,
        public int $position,
        public bool $isTonight,
        public ?string $contact,
        public array $steps,
        public array $aside,
    ) {
    }

    /** @param  list<string>  $aside */
    public static function of(TonightPartner $one, array $aside): self
    {
        $rows = $one->lesson->steps->pluck('id', 'key');
        $steps = array_map(
            static fn (PartnerStep $step, int $at): PartnerStepData => new PartnerStepData($rows[$step->id] ?? '', $step->title, $step->text, $one->drill->limitOf($at)),
            $one->drill->steps,
            array_keys($one->drill->steps),
        );

        return new self($one->lesson->id, $one->course->id, $one->position, $one->isTonight, $one->drill->contact, $steps, $aside);
    }
}
