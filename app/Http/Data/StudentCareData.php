<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\CareNeed;
use Gorvan\Core\Term\StudentCare;
use OpenApi\Attributes as OA;

/** What a student needs at a meeting: adaptations, and never why. */
#[OA\Schema]
final readonly class StudentCareData
{
    /**
     * @param  list<string>  $everywhere  the strictest first
     * @param  list<CareNeedData>  $needs
     */
    public function __construct(
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $everywhere,
        #[OA\Property(description: 'the student is asked before anything')]
        public bool $asks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CareNeedData::class))]
        public array $needs,
    ) {
    }

    /**
     * @param  list<StudentCare>  $care
     * @param  array<string, string>  $names  by student
     * @param  array<string, Form>  $forms  by course
     * @return list<self>
     */
    public static function all(array $care, array $names, array $forms, WarmUpList $warmUps): array
    {
        return array_map(static fn (StudentCare $one): self => new self(
            $one->student,
            $names[$one->student] ?? '',
            array_map(static fn (Adaptation $do): string => $do->value, $one->spared->everywhere()),
            $one->spared->asked() !== [],
            array_map(static fn (CareNeed $need): CareNeedData => CareNeedData::of($need, $forms, $warmUps), $one->needs),
        ), $care);
    }
}
