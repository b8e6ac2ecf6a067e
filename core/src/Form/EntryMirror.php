<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Care\Caution;

/** An entry as its other side: sides, turns, steps, weight and cues exchanged (engine 2). */
final class EntryMirror
{
    /** @param  string  $id  of the mirrored entry, which mirrors the one it is made from */
    public static function of(Entry $entry, string $id): Entry
    {
        return $entry->with([
            'id' => $id,
            'title' => self::words($entry->title),
            'number' => null,
            'booklet' => null,
            'numbers' => [],
            'aliases' => [],
            'side' => $entry->side?->mirrored(),
            'startSide' => $entry->startSide?->mirrored(),
            'repetition' => $entry->repetition?->mirrored(),
            'firstStep' => $entry->firstStep?->mirrored(),
            'weightEnd' => $entry->weightEnd?->mirrored(),
            'turn' => self::negated($entry->turn),
            'travel' => $entry->travel === null ? null : [$entry->travel[0], (float) self::negated($entry->travel[1])],
            'returns' => null,
            'mirrors' => $entry->id,
            'rest' => null,
            'cut' => null,
            'isOneSided' => null,
            'phases' => array_map(self::phase(...), $entry->phases),
            'cues' => array_map(self::tokens(...), $entry->cues),
            'drills' => array_map(self::tokens(...), $entry->drills),
            'cautions' => array_map(self::caution(...), $entry->cautions),
            'errors' => array_map(static fn (CommonError $one): CommonError => new CommonError(self::tokens($one->wrong), self::tokens($one->right), $one->others), $entry->errors),
            'variants' => array_map(static fn (Variant $one): Variant => new Variant($one->title, $one->reason, $one->depth, $one->isShownOnly, self::orNull($one->text), array_map(self::caution(...), $one->cautions), $one->others), $entry->variants),
            'differs' => array_map(static fn (Difference $one): Difference => new Difference($one->nth, $one->of, self::orNull($one->how), $one->others), $entry->differs),
            'checks' => array_map(self::tokens(...), $entry->checks),
            'others' => [],
        ]);
    }

    /** `{L}` for `{R}`. Pure. */
    public static function tokens(string $text): string
    {
        return strtr($text, ['{L}' => '{R}', '{R}' => '{L}']);
    }

    private static function phase(Phase $phase): Phase
    {
        return new Phase($phase->title, $phase->breath, $phase->weight?->mirrored(), self::orNull($phase->gaze), self::orNull($phase->hand), self::orNull($phase->cue), $phase->states, $phase->others);
    }

    private static function caution(Caution $caution): Caution
    {
        return new Caution($caution->for, $caution->do, self::orNull($caution->text), $caution->others);
    }

    private static function orNull(?string $text): ?string
    {
        return $text === null ? null : self::tokens($text);
    }

    private static function words(string $text): string
    {
        $swap = ['left' => 'right', 'right' => 'left', 'Left' => 'Right', 'Right' => 'Left', '左' => '右', '右' => '左'];

        return (string) preg_replace_callback('/\b(?:left|right|Left|Right)\b|左|右/u', static fn (array $found): string => $swap[$found[0]], $text);
    }

    private static function negated(?float $value): ?float
    {
        return $value === null || $value === 0.0 ? $value : -$value;
    }
}
