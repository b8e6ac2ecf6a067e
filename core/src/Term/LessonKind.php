<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** What a lesson is (engine 17). */
enum LessonKind: string
{
    case Fresh = 'new';

    /** The first round of an outline: in rough shape, with the detail to come. */
    case Rough = 'rough';
    case Detail = 'detail';
    case Join = 'join';
}
