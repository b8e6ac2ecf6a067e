<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Student;

/** Calls a student by another name; one that somebody else has is asked about. */
final class RenameStudent
{
    public function __construct(private readonly FillGroup $fill)
    {
    }

    /** @throws KnownNames and nothing is changed */
    public function __invoke(Student $student, string $name, bool $isOther): void
    {
        if (! $isOther && mb_strtolower($name) !== mb_strtolower($student->name)) {
            $this->fill->askAbout([$name]);
        }
        $student->update(['name' => $name]);
    }
}
