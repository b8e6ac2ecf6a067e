<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Term;

/** Whether lessons lie evenly is settled when a term is laid, and again only when its dates, its target or its pace change (engine 9). */
final class SettledSpread
{
    /** What it was settled for. */
    public function for(Term $term, Course $course): string
    {
        $dates = $term->meetings()->where('state', '<>', 'cancelled')->orderBy('starts_at')->toBase()->get(['on', 'minutes']);

        return hash('sha256', json_encode([
            $dates->map(static fn (object $one): array => [$one->on, $one->minutes])->all(),
            $course->first_entry, $course->last_entry, $course->approach->value, $course->pace, $course->load_minutes, $course->share,
        ], JSON_THROW_ON_ERROR));
    }

    /** What the teacher said; else what was settled, while it is for the same; else null, and the plan settles it. */
    public function of(Term $term, Course $course): ?bool
    {
        if ($course->spread !== null) {
            return $course->spread;
        }

        return $course->settled_for !== null && $course->settled_for === $this->for($term, $course) ? $course->settled_spread : null;
    }
}
