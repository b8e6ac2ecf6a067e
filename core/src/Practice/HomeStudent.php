<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

use Gorvan\Core\Care\Spared;

/** One student as a sheet is chosen for them. */
final readonly class HomeStudent
{
    /** @param  list<HomeCourse>  $courses  in the order of the term */
    public function __construct(public array $courses, public Spared $spared)
    {
    }
}
