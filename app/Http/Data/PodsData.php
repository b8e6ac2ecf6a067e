<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Student;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Standing\CatchUp;
use Gorvan\Core\Standing\CatchUpNeed;
use Gorvan\Core\Standing\Pods;
use Gorvan\Core\Standing\StudentStanding;

/** Tonight in pods, and what those who are here have to catch up with. */
final readonly class PodsData
{
    /**
     * @param  list<PodData>  $pods  the one nearest to the start first
     * @param  list<NeedsData>  $needs  who lacks something of tonight, the most needed first
     */
    public function __construct(
        public string $courseId,
        public array $pods,
        public array $needs,
    ) {
    }

    /**
     * @param  list<array{Student, StudentStanding}>  $here
     * @param  list<int>  $taught
     * @param  list<int>  $review
     */
    public static function of(string $course, Form $form, array $here, int $count, array $taught, ?Passage $recap, array $review): self
    {
        $by = $frontiers = $needs = [];
        foreach ($here as [$student, $standing]) {
            $by[$student->id] = new PodStudentData($student->id, $student->name, $standing->frontier());
            $frontiers[$student->id] = $standing->frontier() ?? 0;
            $catchUp = array_values(array_filter(CatchUp::of($form, $standing, $taught, $recap, $review), static fn (CatchUp $one): bool => $one->need !== CatchUpNeed::Later));
            if ($catchUp !== []) {
                $needs[] = [$catchUp, new NeedsData($student->id, $student->name, array_map(CatchUpData::of(...), $catchUp), CatchUp::minutesOf($catchUp))];
            }
        }
        usort($needs, static fn (array $a, array $b): int => CatchUp::compared($a[0], $b[0]));

        return new self(
            $course,
            array_map(static fn (array $pod): PodData => new PodData(array_map(static fn (string $id): PodStudentData => $by[$id], $pod), $frontiers[$pod[0]], $frontiers[$pod[count($pod) - 1]]), Pods::split($frontiers, $count)),
            array_column($needs, 1),
        );
    }
}
