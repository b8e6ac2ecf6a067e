<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Form;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Str;

/** Finds the course of a form that a request names. */
final class NamedCourse
{
    /**
     * @param  mixed  $id  as it was sent; null names none
     *
     * @throws Refused where there is no such course of this form
     */
    public static function of(mixed $id, Form $form): ?Course
    {
        if ($id === null) {
            return null;
        }
        $found = is_string($id) && Str::isUuid($id) ? Course::with('term.group')->where('form_id', $form->id)->whereKey($id)->first() : null;

        return $found ?? throw Refused::because(Message::of('course.unknown'), 'course');
    }
}
