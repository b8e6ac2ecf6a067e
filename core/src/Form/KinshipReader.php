<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/**
 * Supposes which entries of a plain list return to, or mirror, an earlier one (engine 2).
 *
 * Same title and same side: returns to the first such entry. Same title and the other side, or the words left and
 * right exchanged: mirrors the nearest such entry. An identical earlier entry wins over a mirrored one.
 */
final class KinshipReader
{
    /** @param  list<Entry>  $entries
     * @return list<Kinship> */
    public function suppose(array $entries): array
    {
        $first = [];   // "title|side" => position of the first such entry
        $nearest = []; // "title|side" => position of the latest such entry
        $kin = [];
        foreach ($entries as $at => $entry) {
            $position = $at + 1;
            $own = self::key(self::plain($entry->title), $entry->side);
            if (isset($first[$own])) {
                $kin[] = Kinship::returns($position, $first[$own]);
            } else {
                $mirrored = self::nearestMirror($entry, $nearest);
                if ($mirrored !== null) {
                    $kin[] = Kinship::mirrors($position, $mirrored);
                }
                $first[$own] = $position;
            }
            $nearest[$own] = $position;
        }

        return $kin;
    }

    /**
     * The entries with what was supposed of them. Pure.
     *
     * @param  list<Entry>  $entries
     * @param  list<Kinship>  $kin
     * @return list<Entry>
     */
    public static function related(array $entries, array $kin): array
    {
        $related = $entries;
        foreach ($kin as $one) {
            $related[$one->position - 1] = $entries[$one->position - 1]->with([$one->isMirror ? 'mirrors' : 'returns' => $entries[$one->to - 1]->id]);
        }

        return array_values($related);
    }

    /**
     * A form without the relations of some entries, as when a teacher declines what was supposed. Pure.
     *
     * @param  array<string>  $ids
     */
    public static function declined(Form $form, array $ids): Form
    {
        return $ids === [] ? $form : $form->with(['entries' => array_map(
            static fn (Entry $entry): Entry => in_array($entry->id, $ids, true) ? $entry->with(['returns' => null, 'mirrors' => null]) : $entry,
            $form->entries,
        )]);
    }

    /** @param  array<string, int>  $nearest */
    private static function nearestMirror(Entry $entry, array $nearest): ?int
    {
        $title = self::plain($entry->title);
        $exchanged = self::exchanged($title);
        $other = match ($entry->side) {
            Side::Left => Side::Right,
            Side::Right => Side::Left,
            default => null,
        };
        $candidates = $other === null ? [] : [$nearest[self::key($title, $other)] ?? null];
        if ($exchanged !== $title) {
            $candidates[] = $nearest[self::key($exchanged, $entry->side)] ?? null;
            $candidates[] = $other === null ? null : $nearest[self::key($exchanged, $other)] ?? null;
        }
        $candidates = array_filter($candidates, static fn (?int $position): bool => $position !== null);

        return $candidates === [] ? null : max($candidates);
    }

    private static function key(string $title, ?Side $side): string
    {
        return $title.'|'.($side->value ?? '');
    }

    /** A title as it is compared: no case, no double spaces. */
    public static function plain(string $title): string
    {
        return mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', $title)));
    }

    private static function exchanged(string $title): string
    {
        $swap = ['left' => 'right', 'right' => 'left', '左' => '右', '右' => '左'];

        return (string) preg_replace_callback(
            '/\b(?:left|right)\b|左|右/u',
            static fn (array $found): string => $swap[$found[0]],
            $title,
        );
    }
}
