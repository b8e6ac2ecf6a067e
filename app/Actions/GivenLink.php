<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Student;
use App\Models\StudentLink;

/** A link that was made just now. */
final readonly class GivenLink
{
    /**
     * @param  string|null  $address  told this once; null where it went by mail
     * @param  string|null  $mailedTo  where it went by mail
     * @param  bool  $isUnsent  whether it was to go by mail and did not
     */
    public function __construct(public Student $student, public StudentLink $link, public ?string $address, public ?string $mailedTo, public bool $isUnsent)
    {
    }
}
