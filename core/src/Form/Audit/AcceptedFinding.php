<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

/** A finding the teacher accepts, with the reason. */
final readonly class AcceptedFinding
{
    public function __construct(public Finding $finding, public string $reason)
    {
    }
}
