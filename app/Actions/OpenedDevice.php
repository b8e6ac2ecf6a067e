<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\LinkDevice;
use App\Models\Student;

/** A device that a personal link was opened on, and whose record it shows. */
final readonly class OpenedDevice
{
    public function __construct(public LinkDevice $device, public Student $student)
    {
    }
}
