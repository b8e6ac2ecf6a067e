<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Student;
use Gorvan\Core\Practice\PracticeSheet;

/** What one student takes home. */
final readonly class StudentSheet
{
    public function __construct(public Student $student, public PracticeSheet $sheet)
    {
    }
}
