<?php

declare(strict_types=1);

namespace App\Shared\Description;

use Attribute;

/** A value that core reads or writes itself: it looks as the `Data` of that class says. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class AsData
{
    /**
     * @param  class-string  $of  what reads or writes it
     * @param  bool  $isList  whether it is a list of them
     */
    public function __construct(public string $of, public bool $isList = false)
    {
    }
}
