<?php

declare(strict_types=1);

namespace App\Models;

/** How far a question is. */
enum QuestionState: string
{
    case Waiting = 'waiting';
    case Running = 'running';
    case Done = 'done';
    case Failed = 'failed';
}
