<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\NamedCourse;
use App\Actions\TryCut;
use App\Forms\Requests\CourseQuery;
use App\Http\Data\CutData;
use App\Http\Data\PricesData;
use App\Http\Data\SizeData;
use App\Http\Data\WorkbenchData;
use App\Lessons\Requests\PricesQuery;
use App\Lessons\Requests\SentSize;
use App\Models\Form;
use App\Shared\Description\Operation;
use Gorvan\Core\Lesson\LessonCutter;
use Illuminate\Http\JsonResponse;

/** The workbench on which a form, or a course of it, is cut into lessons. */
final class CutController extends Controller
{
    #[Operation('workbench', 'The lessons as they are, as tried, and without a hand in them', WorkbenchData::class)]
    public function show(CourseQuery $of, SentSize $sent, Form $form, TryCut $try): JsonResponse
    {
        $course = NamedCourse::of($of->course, $form);
        $placed = $form->placed();
        $kept = ($course ?? $form)->size();
        $size = $sent->tried() ?? $kept;
        $tried = $try->sized($form, $placed, $course, $size);
        $free = $try($placed, $course, $size, isFree: true);

        return new JsonResponse(new WorkbenchData(SizeData::of($kept), $tried->minutesPerLoad, $tried->pace, CutData::of($placed->form, $try->kept($form, $placed, $course), $free->cut), CutData::of($tried->form, $tried->cut, $free->cut), CutData::of($free->form, $free->cut, $free->cut)));
    }

    #[Operation('cutPrices', 'What one notch costs at each join, the free ones chosen anew', PricesData::class)]
    public function prices(CourseQuery $of, SentSize $sent, PricesQuery $asked, Form $form, TryCut $try, LessonCutter $cutter): JsonResponse
    {
        $course = NamedCourse::of($of->course, $form);
        $placed = $form->placed();
        $size = $sent->tried() ?? ($course ?? $form)->size();
        $tried = $try->sized($form, $placed, $course, $size);

        return new JsonResponse(PricesData::of($cutter->prices($tried->form, $tried->cut, $tried->scope, $asked->moving === null ? null : min($asked->moving, max(1, $placed->form->count() - 1)))));
    }
}
