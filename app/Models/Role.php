<?php

declare(strict_types=1);

namespace App\Models;

/** What a person may do in the school (engine 15; assistants and students come with a later step). */
enum Role: string
{
    case Owner = 'owner';
    case Instructor = 'instructor';
}
