<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

/** What one student does in one thing that the class does, and why. What to do may be told where the reason may not. */
final readonly class CareAdvice
{
    /**
     * @param  Adaptation|null  $do  null where nothing says: it strains what the student spares, and has no caution
     * @param  list<Strain>  $strains  that ask of it, where nothing says what to do
     * @param  string|null  $variant  the way of doing it that the caution belongs to; null for every way
     * @param  string|null  $text  of the caution
     */
    public function __construct(public ?Adaptation $do, public Consideration $for, public array $strains = [], public ?string $variant = null, public ?string $text = null)
    {
    }
}
