<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use Illuminate\Support\Facades\DB;

/** Takes a group back that has no term and no student with a record; students who are in no other group go with it. */
final class RemoveGroup
{
    public function __construct(private readonly RemoveStudents $students)
    {
    }

    public function __invoke(Group $group): void
    {
        if ($group->terms()->exists()) {
            throw Refused::conflict('A term is laid for this group, so it stays. Take the term back first.');
        }
        DB::transaction(function () use ($group): void {
            ($this->students)($group, array_values($group->students()->pluck('students.id')->all()));
            $group->delete();
        });
    }
}
