<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Course;
use App\Models\Form;

/**
 * A short word for the state a form is in: its entries and, as it is cut, the size of its lessons or those of its course. Two
 * answers that say the same word mean the same form, so whoever has it need not ask for it again.
 */
final class FormEdition
{
    public static function own(Form $form): string
    {
        return self::word([$form->version, $form->size(), $form->own_lessons]);
    }

    public static function inCourse(Course $course): string
    {
        return self::word([$course->form->version, $course->first_entry, $course->last_entry, $course->approach, $course->pins, $course->cut]);
    }

    /** @param  list<mixed>  $state */
    private static function word(array $state): string
    {
        return hash('xxh3', json_encode($state, JSON_THROW_ON_ERROR));
    }
}
