<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\FindAnything;
use App\Http\Data\FoundData;
use App\Http\Data\FoundMeeting;
use App\Http\Data\FoundMovement;
use App\Http\Data\FoundNamed;
use App\Http\Data\FoundStudent;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Group;
use App\School\Requests\FindQuery;
use App\Shared\Description\Operation;
use Illuminate\Http\JsonResponse;

/** Anything by its name. */
final class FindController extends Controller
{
    #[Operation('find', 'Students, forms, movements, groups and classes by what they are called', FoundData::class)]
    public function __invoke(FindQuery $asked, CurrentSchool $school): JsonResponse
    {
        $find = new FindAnything(trim($asked->find));

        return new JsonResponse(new FoundData(
            array_values($find->students()->map(FoundStudent::of(...))->all()),
            array_values($find->movements()->map(FoundMovement::of(...))->all()),
            array_values($find->forms()->map(static fn (Form $form): FoundNamed => new FoundNamed($form->id, $form->title))->all()),
            array_values($find->groups()->map(static fn (Group $group): FoundNamed => new FoundNamed($group->id, $group->name))->all()),
            array_values($find->meetings($asked->on, $school->today())->map(FoundMeeting::of(...))->all()),
        ));
    }
}
