<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\TryCut;
use App\Http\Data\CutData;
use App\Http\Data\PricesData;
use App\Http\Data\SizeData;
use App\Http\Data\WorkbenchData;
use App\Http\OpenApi\Reads;
use App\Models\Course;
use App\Models\Form;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The workbench on which a form, or a course of it, is cut into lessons. */
final class CutController extends Controller
{
    /** How a size is sent. */
    public const SIZE = ['load?' => 'number|null', 'count?' => 'integer|null', 'minutes?' => 'number|null', 'minutesPerLoad?' => 'number|null', 'lambda?' => 'number|null'];

    private const QUERY = ['course' => 'string', 'load' => 'number', 'count' => 'integer', 'minutes' => 'number', 'minutesPerLoad' => 'number', 'lambda' => 'number'];

    #[Reads('/api/forms/{form}/workbench', 'workbench', 'The lessons as they are, as tried, and without a hand in them', WorkbenchData::class, query: self::QUERY)]
    public function show(Request $request, Form $form, TryCut $try): JsonResponse
    {
        $course = Course::asked($request->query('course'), $form);
        $placed = $form->placed();
        $kept = ($course ?? $form)->size();
        $size = $this->tried($request) ?? $kept;
        $tried = $try($placed, $course, $size);
        $free = $try($placed, $course, $size, isFree: true);

        return new JsonResponse(new WorkbenchData(SizeData::of($kept), $tried->minutesPerLoad, CutData::of($placed->form, $try->kept($form, $placed, $course)), CutData::of($tried->form, $tried->cut), CutData::of($free->form, $free->cut)));
    }

    #[Reads('/api/forms/{form}/prices', 'cutPrices', 'What one notch costs at each join, the free ones chosen anew', PricesData::class, query: [...self::QUERY, 'moving' => 'integer'])]
    public function prices(Request $request, Form $form, TryCut $try, LessonCutter $cutter): JsonResponse
    {
        $course = Course::asked($request->query('course'), $form);
        $placed = $form->placed();
        $moving = $request->validate(['moving' => ['nullable', 'integer', 'min:1', 'max:'.max(1, $placed->form->count() - 1)]])['moving'] ?? null;
        $tried = $try($placed, $course, $this->tried($request) ?? ($course ?? $form)->size());

        return new JsonResponse(PricesData::of($cutter->prices($tried->form, $tried->cut, $tried->scope, $moving === null ? null : (int) $moving)));
    }

    /**
     * The size a request says, each part of it or null.
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public static function size(Request $request): LessonSize
    {
        $given = $request->validate([
            'load' => ['nullable', 'numeric', 'gt:0', 'max:1000', 'prohibits:count,minutes'],
            'count' => ['nullable', 'integer', 'min:1', 'max:600', 'prohibits:minutes'],
            'minutes' => ['nullable', 'numeric'],
            'minutesPerLoad' => ['nullable', 'numeric'],
            'lambda' => ['nullable', 'numeric'],
        ]);
        $number = static fn (string $key): ?float => isset($given[$key]) ? (float) $given[$key] : null;

        return new LessonSize($number('load'), isset($given['count']) ? (int) $given['count'] : null, $number('minutes'), $number('minutesPerLoad'), $number('lambda'));
    }

    /** Null where nothing is tried. */
    private function tried(Request $request): ?LessonSize
    {
        return $request->hasAny(['load', 'count', 'minutes', 'minutesPerLoad', 'lambda']) ? self::size($request) : null;
    }
}
