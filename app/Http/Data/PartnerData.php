<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\TonightPartner;
use Gorvan\Core\Lesson\Content\PartnerStep;
use OpenApi\Attributes as OA;

/** A partner drill a class can do. */
#[OA\Schema]
final readonly class PartnerData
{
    /**
     * @param  string  $lesson  id of the lesson it stands in
     * @param  int  $position  of the entry it comes from
     * @param  list<PartnerStepData>  $steps  each with more pressure than the one before
     * @param  list<string>  $aside  students who do not take part; why is not told here
     */
    public function __construct(
        #[OA\Property]
        public string $lesson,
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public bool $isTonight,
        #[OA\Property]
        public ?string $contact,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PartnerStepData::class))]
        public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
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
