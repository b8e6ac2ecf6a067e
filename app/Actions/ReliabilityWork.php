<?php

declare(strict_types=1);

namespace App\Actions;

/** Whether the forecasts were true, as it was worked out. */
final readonly class ReliabilityWork
{
    /**
     * @param  string  $reliability  JSON
     * @param  string  $of  of what: the fingerprint of what it rests on
     */
    public function __construct(public string $reliability, public string $of)
    {
    }
}
