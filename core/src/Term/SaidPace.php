<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Reading\Contradiction;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * The pace a teacher says (engine 4): movements an evening, or the minutes a simple movement takes, which is one unit of load.
 * Each can be said as the other, once the course and its evenings are known ({@see CoursePace}).
 */
final readonly class SaidPace implements Written
{
    /** Movements an evening, in tenths. */
    public const LEAST_MOVEMENTS = LessonSize::LEAST_MOVEMENTS;

    public const MOST_MOVEMENTS = LessonSize::MOST_MOVEMENTS;

    /** Minutes a unit of load. */
    public const LEAST_MINUTES = 0.5;

    public const MOST_MINUTES = 60.0;

    private function __construct(public ?float $movements, public ?float $minutes)
    {
    }

    /** @param  float  $movements  an evening, kept to tenths and within the range */
    public static function movements(float $movements): self
    {
        return new self(max(self::LEAST_MOVEMENTS, min(self::MOST_MOVEMENTS, round($movements, 1))), null);
    }

    /** @param  float  $minutes  a unit of load, kept within the range */
    public static function minutes(float $minutes): self
    {
        return new self(null, max(self::LEAST_MINUTES, min(self::MOST_MINUTES, $minutes)));
    }

    /** The pace a size of lessons says; null where it says none. */
    public static function ofSize(LessonSize $size): ?self
    {
        return match (true) {
            $size->movements !== null => self::movements($size->movements),
            $size->minutesPerLoad !== null => self::minutes($size->minutesPerLoad),
            default => null,
        };
    }

    /**
     * The pace that stands once a size is said: its own; how many lessons or how much of them says nothing of the pace, and leaves what
     * was said; whoever says neither goes as usual again.
     */
    public static function after(LessonSize $size, ?self $before): ?self
    {
        return self::ofSize($size) ?? ($size->count !== null || $size->load !== null ? $before : null);
    }

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path; one of the two is said, not both */
    public static function read(JsonNode $node): self
    {
        $movements = $node->optional('movements')?->number(self::LEAST_MOVEMENTS, self::MOST_MOVEMENTS);
        $minutes = $node->optional('minutes')?->number(self::LEAST_MINUTES, self::MOST_MINUTES);
        if (($movements === null) === ($minutes === null)) {
            throw Contradiction::pace($node->path);
        }

        return $movements === null ? self::minutes((float) $minutes) : self::movements($movements);
    }

    public function toData(): stdClass
    {
        return (object) ($this->movements === null ? ['minutes' => $this->minutes] : ['movements' => $this->movements]);
    }
}
