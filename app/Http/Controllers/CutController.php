<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\NamedCourse;
use App\Actions\TryCut;
use App\Http\Data\CutData;
use App\Http\Data\PricesData;
use App\Http\Data\SizeData;
use App\Http\Data\WorkbenchData;
use App\Http\OpenApi\Reads;
use App\Http\SentSize;
use App\Models\Form;
use Gorvan\Core\Lesson\LessonCutter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The workbench on which a form, or a course of it, is cut into lessons. */
final class CutController extends Controller
{
    private const QUERY = ['course' => 'string', 'load' => 'number', 'count' => 'integer', 'minutes' => 'number', 'minutesPerLoad' => 'number', 'movements' => 'number', 'lambda' => 'number'];

    #[Reads('/api/forms/{form}/workbench', 'workbench', 'The lessons as they are, as tried, and without a hand in them', WorkbenchData::class, query: self::QUERY)]
    public function show(Request $request, Form $form, TryCut $try): JsonResponse
    {
        $course = NamedCourse::of($request->query('course'), $form);
        $placed = $form->placed();
        $kept = ($course ?? $form)->size();
        $size = SentSize::tried($request->query->all()) ?? $kept;
        $tried = $try->sized($form, $placed, $course, $size);
        $free = $try($placed, $course, $size, isFree: true);

        return new JsonResponse(new WorkbenchData(SizeData::of($kept), $tried->minutesPerLoad, $tried->pace, CutData::of($placed->form, $try->kept($form, $placed, $course), $free->cut), CutData::of($tried->form, $tried->cut, $free->cut), CutData::of($free->form, $free->cut, $free->cut)));
    }

    #[Reads('/api/forms/{form}/prices', 'cutPrices', 'What one notch costs at each join, the free ones chosen anew', PricesData::class, query: [...self::QUERY, 'moving' => 'integer'])]
    public function prices(Request $request, Form $form, TryCut $try, LessonCutter $cutter): JsonResponse
    {
        $course = NamedCourse::of($request->query('course'), $form);
        $placed = $form->placed();
        $moving = $request->validate(['moving' => ['nullable', 'integer', 'min:1', 'max:'.max(1, $placed->form->count() - 1)]])['moving'] ?? null;
        $size = SentSize::tried($request->query->all()) ?? ($course ?? $form)->size();
        $tried = $try->sized($form, $placed, $course, $size);

        return new JsonResponse(PricesData::of($cutter->prices($tried->form, $tried->cut, $tried->scope, $moving === null ? null : (int) $moving)));
    }
}
