<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

use Gorvan\Core\Form\Passage;

/** A passage of one form on a sheet. */
final readonly class SheetPassage
{
    /**
     * @param  string  $course  id
     * @param  list<SheetEntry>  $entries
     * @param  bool  $leadsOn  it leads into the next lesson
     */
    public function __construct(public string $course, public Passage $passage, public float $minutes, public float $recallWith, public float $recallWithout, public array $entries, public bool $leadsOn)
    {
    }
}
