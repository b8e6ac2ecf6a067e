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

    /**
     * What an evening that was held is shown as: as it was planned, unless something new came where nothing should, or nothing where
     * a lesson was planned. Of several courses one may have given its lesson while the one that is asked about did not.
     */
    public static function held(?self $planned, bool $hasTaught, bool $isAlone): ?self
    {
        return match (true) {
            $hasTaught && ($planned === null || $planned === self::Consolidation) => self::Lesson,
            ! $hasTaught && $isAlone && $planned === self::Lesson => self::Consolidation,
            default => $planned,
        };
    }

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
