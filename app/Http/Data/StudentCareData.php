<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\CareNeed;
use Gorvan\Core\Term\StudentCare;

/** What a student needs at a meeting: adaptations, and never why. */
final readonly class StudentCareData
{
    /**
     * @param  list<Adaptation>  $everywhere  the strictest first
     * @param  list<CareNeedData>  $needs
     * @param  bool  $asks  the student is asked before anything
     */
    public function __construct(
        public string $studentId,
        public string $name,
        public array $everywhere,
        public bool $asks,
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
            $one->spared->everywhere(),
            $one->spared->asked() !== [],
            array_map(static fn (CareNeed $need): CareNeedData => CareNeedData::of($need, $forms, $warmUps), $one->needs),
        ), $care);
    }
}
