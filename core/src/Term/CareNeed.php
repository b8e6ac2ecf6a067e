<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Care\CareAdvice;

/** What one student does otherwise in one thing of one box. */
final readonly class CareNeed
{
    /**
     * @param  string|null  $course  null for a warm-up
     * @param  string  $id  of the entry in its form, or of the warm-up
     * @param  non-empty-list<CareAdvice>  $advice  the strictest first
     */
    public function __construct(public Box $box, public ?string $course, public string $id, public array $advice)
    {
    }
}
