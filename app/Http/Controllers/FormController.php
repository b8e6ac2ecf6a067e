<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeCutting;
use App\Actions\NamedCourse;
use App\Actions\PacedCourse;
use App\Actions\ReadForm;
use App\Actions\RemoveForm;
use App\Actions\SaveForm;
use App\Forms\Requests\CourseQuery;
use App\Forms\Requests\FormText;
use App\Forms\Requests\Joins;
use App\Http\Data\AuditData;
use App\Http\Data\FormData;
use App\Http\Data\FormPreviewData;
use App\Http\Data\FormSummary;
use App\Http\Data\KinshipData;
use App\Http\Data\RemovalData;
use App\Lessons\Requests\SentSize;
use App\Models\Form;
use App\Models\Group;
use App\Shared\Description\Operation;
use Gorvan\Core\Form\Kinship;
use Gorvan\Core\Lesson\LessonCutter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class FormController extends Controller
{
    #[Operation('forms', 'The forms of the school', [FormSummary::class])]
    public function index(): JsonResponse
    {
        $groups = Group::all(['id', 'school_id', 'name', 'form_id'])->groupBy('form_id');

        return new JsonResponse(Form::withCount('entries')->orderBy('title')->get(['id', 'school_id', 'title', 'lessons', 'load'])->map(
            static fn (Form $form): FormSummary => new FormSummary(
                $form->id,
                $form->title,
                (int) $form->getAttribute('entries_count'),
                $form->lessons,
                $form->load,
                array_values(($groups[$form->id] ?? collect())->pluck('name')->all()),
            ),
        )->all());
    }

    #[Operation('previewForm', 'What would be made', FormPreviewData::class)]
    public function preview(FormText $sent, ReadForm $read, LessonCutter $cutter): JsonResponse
    {
        $text = (string) $sent->text;
        $found = $read($text, $sent->title ?? '');

        return new JsonResponse(new FormPreviewData(
            FormData::of($found->form, $cutter->cut($found->form)),
            array_map(static fn (Kinship $kin): KinshipData => KinshipData::of($kin, $found->form), $found->inferred),
            $found->warnings,
            substr_count(trim($text), "\n") + 1,
            AuditData::of($found->form),
        ));
    }

    #[Operation('saveForm', 'Saved', FormData::class, status: 201)]
    public function store(Request $request, FormText $sent, ReadForm $read, SaveForm $save): JsonResponse
    {
        $form = $save($read((string) $sent->text, $sent->title ?? '')->form, $sent->declined, $this->viewer($request));

        return new JsonResponse(FormData::saved($form->refresh()), 201);
    }

    #[Operation('form', 'A form, cut for no group or as a course has it', FormData::class)]
    public function show(CourseQuery $of, Form $form, PacedCourse $paced): JsonResponse
    {
        $course = NamedCourse::of($of->course, $form);
        if ($course === null) {
            return new JsonResponse(FormData::saved($form));
        }

        $placed = $form->placed();

        return new JsonResponse(FormData::inCourse($course, $placed, $paced($course, $placed)));
    }

    #[Operation('pinJoins', 'Cut again', FormData::class)]
    public function joins(Request $request, Joins $sent, Form $form, ChangeCutting $change): JsonResponse
    {
        $pins = array_column($sent->joins, 'pin', 'after');
        $cuts = array_filter(array_column($sent->joins, 'isCut', 'after'), is_bool(...));

        return new JsonResponse(FormData::saved($form->refresh(), null, $change->pins($form, $pins, $cuts, $this->viewer($request))));
    }

    #[Operation('sizeLessons', 'Cut again', FormData::class)]
    public function cutting(SentSize $sent, Form $form, ChangeCutting $change): JsonResponse
    {
        $moved = $change->size($form, $sent->size());

        return new JsonResponse(FormData::saved($form->refresh(), moved: $moved));
    }

    #[Operation('formRemoval', 'What would go with it', RemovalData::class)]
    public function removal(Form $form, RemoveForm $remove): JsonResponse
    {
        return new JsonResponse(RemovalData::of($remove->would($form)));
    }

    #[Operation('removeForm', 'Taken back', mayConflict: true)]
    public function destroy(Form $form, RemoveForm $remove): Response
    {
        $remove($form);

        return response()->noContent();
    }
}
