<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** The side that the words of a title say: "Right Heel Kick", "Brush the knee, on the left". One that says both, or neither, says none. */
final class TitleSide
{
    private const WORDS = '/(?:[,;]?\s*\b(?:on|to)\s+(?:the|your)\s+)?\b(left|right)\b|(左|右)/iu';

    public static function of(string $title): ?Side
    {
        preg_match_all(self::WORDS, $title, $found);
        $words = array_values(array_unique(array_map(mb_strtolower(...), array_filter([...$found[1], ...$found[2]], static fn (string $one): bool => $one !== ''))));

        return match ($words) {
            ['left'], ['左'] => Side::Left,
            ['right'], ['右'] => Side::Right,
            default => null,
        };
    }

    /** The title without the words that say its side, in lower case: what both sides of a movement share. */
    public static function without(string $title): string
    {
        $plain = KinshipReader::plain($title);

        return self::of($plain) === null ? $plain : KinshipReader::plain((string) preg_replace([self::WORDS, '/\(\s*\)|（\s*）/u', '/^[\s,;:\-–]+|[\s,;:\-–]+$/u'], ['', '', ''], $plain));
    }
}
