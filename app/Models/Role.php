<?php

declare(strict_types=1);

namespace App\Models;

/** What a person is in the school (engine 15; students come with a later step). */
enum Role: string
{
    case Owner = 'owner';
    case Instructor = 'instructor';
    case Assistant = 'assistant';
}
