<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** What a lesson is (engine 17). */
enum LessonKind: string
{
    case Fresh = 'new';
    case Detail = 'detail';
    case Join = 'join';
}
