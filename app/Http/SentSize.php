<?php

declare(strict_types=1);

namespace App\Http;

use Gorvan\Core\Lesson\LessonSize;
use Illuminate\Support\Facades\Validator;

/** The size of lessons as a page sends it: how many, their load, movements or minutes, and what a good place to stop weighs. */
final class SentSize
{
    /** How it is described. */
    public const SHAPE = ['load?' => 'number|null', 'count?' => 'integer|null', 'minutes?' => 'number|null', 'minutesPerLoad?' => 'number|null', 'movements?' => 'number|null', 'lambda?' => 'number|null'];

    private const KEYS = ['load', 'count', 'minutes', 'minutesPerLoad', 'movements', 'lambda'];

    /**
     * @param  array<string, mixed>  $sent
     *
     * @throws \Illuminate\Validation\ValidationException|\Gorvan\Core\Lesson\CutImpossible
     */
    public static function of(array $sent): LessonSize
    {
        $given = Validator::validate($sent, [
            'load' => ['nullable', 'numeric', 'gt:0', 'max:1000', 'prohibits:count,minutes'],
            'count' => ['nullable', 'integer', 'min:1', 'max:600', 'prohibits:minutes'],
            'minutes' => ['nullable', 'numeric'],
            'minutesPerLoad' => ['nullable', 'numeric'],
            'movements' => ['nullable', 'numeric', 'prohibits:load,count,minutes,minutesPerLoad'],
            'lambda' => ['nullable', 'numeric'],
        ]);
        $number = static fn (string $key): ?float => isset($given[$key]) ? (float) $given[$key] : null;

        return new LessonSize($number('load'), isset($given['count']) ? (int) $given['count'] : null, $number('minutes'), $number('minutesPerLoad'), $number('lambda'), $number('movements'));
    }

    /**
     * Null where nothing of a size is said.
     *
     * @param  array<string, mixed>  $sent
     */
    public static function tried(array $sent): ?LessonSize
    {
        return array_intersect_key($sent, array_flip(self::KEYS)) === [] ? null : self::of($sent);
    }
}
