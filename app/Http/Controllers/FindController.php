<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\FindAnything;
use App\Http\Data\FoundData;
use App\Http\Data\FoundMeeting;
use App\Http\Data\FoundMovement;
use App\Http\Data\FoundNamed;
use App\Http\Data\FoundStudent;
use App\Http\OpenApi\Reads;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Group;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Anything by its name. */
final class FindController extends Controller
{
    #[Reads('/api/find', 'find', 'Students, forms, movements, groups and classes by what they are called', FoundData::class, query: ['find!' => 'string', 'on' => 'string'])]
    public function __invoke(Request $request, CurrentSchool $school): JsonResponse
    {
        $given = $request->validate(['find' => ['required', 'string', 'max:120'], 'on' => ['nullable', 'date_format:Y-m-d']]);
        $find = new FindAnything(trim($given['find']));

        return new JsonResponse(new FoundData(
            array_values($find->students()->map(FoundStudent::of(...))->all()),
            array_values($find->movements()->map(FoundMovement::of(...))->all()),
            array_values($find->forms()->map(static fn (Form $form): FoundNamed => new FoundNamed($form->id, $form->title))->all()),
            array_values($find->groups()->map(static fn (Group $group): FoundNamed => new FoundNamed($group->id, $group->name))->all()),
            array_values($find->meetings($given['on'] ?? null, $school->today())->map(FoundMeeting::of(...))->all()),
        ));
    }
}
