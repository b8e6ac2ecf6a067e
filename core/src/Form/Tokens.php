<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Care\Caution;

/** The words and tokens by which a text says left and right. */
final class Tokens
{
    /** `{L}` for `{R}`. Pure. */
    public static function swapped(string $text): string
    {
        return strtr($text, ['{L}' => '{R}', '{R}' => '{L}']);
    }

    public static function swappedIn(?string $text): ?string
    {
        return $text === null ? null : self::swapped($text);
    }

    /** The words left and right exchanged, as in a title. Pure. */
    public static function sidesSwapped(string $text): string
    {
        $swap = ['left' => 'right', 'right' => 'left', 'Left' => 'Right', 'Right' => 'Left', '左' => '右', '右' => '左'];

        return (string) preg_replace_callback('/\b(?:left|right|Left|Right)\b|左|右/u', static fn (array $found): string => $swap[$found[0]], $text);
    }

    public static function inCaution(Caution $caution): Caution
    {
        return new Caution($caution->for, $caution->do, self::swappedIn($caution->text), $caution->others);
    }
}
