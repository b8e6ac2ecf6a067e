<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Memory\Tracks;

/** A form as one student may practise it: what they remember of it, and what leads into its next lesson. */
final readonly class HomeCourse
{
    /**
     * @param  string  $id  of the course
     * @param  array<string, Tracks>  $tracks  by the id of the entry
     * @param  list<string>  $leadsOn  entries of the recap of the next lesson
     */
    public function __construct(public string $id, public Form $form, public array $tracks, public array $leadsOn = [])
    {
    }
}
