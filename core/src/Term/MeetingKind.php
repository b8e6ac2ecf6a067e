<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** What a meeting is for: a new lesson, joining up what is known, or the reserve before the end. */
enum MeetingKind: string
{
    case Lesson = 'lesson';
    case Consolidation = 'consolidation';
    case Reserve = 'reserve';
}
