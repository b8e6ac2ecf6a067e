<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** What a meeting is for (engine 9), in the order in which one is said where several courses say different things. */
enum MeetingKind: string
{
    case Showing = 'showing';
    case Lesson = 'lesson';
    case Reserve = 'reserve';

    /** The last meeting before a break. */
    case BeforeBreak = 'before_break';

    /** The last meeting of a term. */
    case LookBack = 'look_back';
    case Join = 'join';
    case Consolidation = 'consolidation';

    /** @param  array<int, self>  $kinds  of the courses */
    public static function of(array $kinds): self
    {
        foreach (self::cases() as $kind) {
            if (in_array($kind, $kinds, true)) {
                return $kind;
            }
        }

        return self::Consolidation;
    }
}
