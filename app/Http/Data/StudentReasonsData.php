<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Care\Strain;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\StudentCare;
use OpenApi\Attributes as OA;

/** What a student spares at a meeting, and what comes of it. Private. */
#[OA\Schema]
final readonly class StudentReasonsData
{
    /**
     * @param  list<string>  $considerations
     * @param  list<CareReasonData>  $reasons
     */
    public function __construct(
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $considerations,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CareReasonData::class))]
        public array $reasons,
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
        $all = [];
        foreach ($care as $one) {
            $reasons = [];
            foreach ($one->needs as $need) {
                $data = CareNeedData::of($need, $forms, $warmUps);
                foreach ($need->advice as $advice) {
                    $reasons[] = new CareReasonData($data->box, $data->position, $data->title, $advice->do?->value, $advice->for->value, array_map(static fn (Strain $strain): string => $strain->value, $advice->strains), $advice->variant, $advice->text);
                }
            }
            $all[] = new self($one->student, $names[$one->student] ?? '', array_map(static fn (Consideration $what): string => $what->value, $one->spared->considerations), $reasons);
        }

        return $all;
    }
}
