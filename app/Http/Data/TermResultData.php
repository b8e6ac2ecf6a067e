<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Standing\TermResult;

/** What a term came to for one student in one form. */
final readonly class TermResultData
{
    /**
     * @param  int  $holding  movements that hold, of those taught
     * @param  list<PassageData>  $holds
     * @param  list<PassageData>  $nearly  one could go on from them
     * @param  list<PassageData>  $open  met, and neither
     * @param  list<PassageData>  $missed  never met
     * @param  list<int>  $keep  positions, what would slip first comes first
     */
    public function __construct(
        public string $courseId,
        public int $holding,
        public int $taught,
        public array $holds,
        public array $nearly,
        public array $open,
        public array $missed,
        public array $keep, )
    {
    }

    public static function of(string $course, TermResult $one): self
    {
        return new self($course, $one->holding, $one->taught, self::passages($one->holds), self::passages($one->nearly), self::passages($one->open), self::passages($one->missed), $one->keep);
    }

    /**
     * @param  list<Passage>  $passages
     * @return list<PassageData>
     */
    public static function passages(array $passages): array
    {
        return array_map(static fn (Passage $one): PassageData => new PassageData($one->from, $one->to), $passages);
    }
}
