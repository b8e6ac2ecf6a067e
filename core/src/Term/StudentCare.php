<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Care\Spared;

/** What one student needs at a meeting. */
final readonly class StudentCare
{
    /** @param  list<CareNeed>  $needs  in the order of the boxes, and of the entries in them */
    public function __construct(public string $student, public Spared $spared, public array $needs)
    {
    }
}
