<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\StudentCare;

/** What a student spares at a meeting, and what comes of it. Private. */
final readonly class StudentReasonsData
{
    /**
     * @param  list<Consideration>  $considerations
     * @param  list<CareReasonData>  $reasons
     */
    public function __construct(
        public string $studentId,
        public string $name,
        public array $considerations,
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
                    $reasons[] = new CareReasonData($data->box, $data->position, $data->title, $advice->do, $advice->for, $advice->strains, $advice->variant, $advice->text);
                }
            }
            $all[] = new self($one->student, $names[$one->student] ?? '', $one->spared->considerations, $reasons);
        }

        return $all;
    }
}
