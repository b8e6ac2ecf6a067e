<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\RenameStudent;
use App\Http\OpenApi\Patches;
use App\Models\Student;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class StudentController extends Controller
{
    #[Patches('/api/students/{student}', 'renameStudent', 'Renamed', takes: ['name' => 'string', 'isOther?' => 'boolean'], mayConflict: true)]
    public function rename(Request $request, Student $student, RenameStudent $rename): Response
    {
        $given = $request->validate(['name' => ['required', 'string', 'max:120'], 'isOther' => ['boolean']]);
        $rename($student, $given['name'], (bool) ($given['isOther'] ?? false));

        return response()->noContent();
    }
}
