<?php

declare(strict_types=1);

namespace App\Actions;

use Gorvan\Core\Term\Change\PlanView;

/** A term as it was read to be planned again. */
final readonly class TermWork
{
    /**
     * @param  int  $asked  how often the plan had been asked for
     * @param  string|null  $cause  why, as it is kept
     * @param  PlanView  $was  the plan before
     * @param  array<string, string>  $titles  of the forms by course, where there is more than one
     */
    public function __construct(public string $term, public int $asked, public ?string $cause, public string $today, public Planning $planning, public PlanView $was, public array $titles)
    {
    }
}
