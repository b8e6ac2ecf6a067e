<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/**
 * Supposes which entries of a plain list return to, or mirror, an earlier one (engine 2).
 *
 * Same title and same side: returns to the first such entry. Same title and the other side, or the words left and
 * right exchanged: mirrors the nearest such entry. An identical earlier entry wins over a mirrored one, and a title that
 * stood before, whether its side was said or not, over a mirror of an entry with another title. A side that only the title
 * says counts as said.
 */
final class KinshipReader
{
    /** @param  list<Entry>  $entries
     * @return list<Kinship> */
    public function suppose(array $entries): array
    {
        $first = [];   // "title|side" => position of the first such entry
        $nearest = []; // "title|side" => position of the latest such entry
        $titled = [];  // title, as it stands => position of the first such entry
        $kin = [];
        foreach ($entries as $at => $entry) {
            $position = $at + 1;
            $title = self::plain($entry->title);
            $own = self::key(TitleSide::without($title), self::side($entry));
            if (isset($first[$own])) {
                $kin[] = Kinship::returns($position, $first[$own]);
            } else {
                $mirrored = self::nearestMirror($entry, $nearest);
                $same = $titled[$title] ?? null;
                if ($mirrored !== null && $same !== null && self::plain($entries[$mirrored - 1]->title) !== $title) {
                    $kin[] = Kinship::returns($position, $same);
                } elseif ($mirrored !== null) {
                    $kin[] = Kinship::mirrors($position, $mirrored);
                }
                $first[$own] = $position;
            }
            $nearest[$own] = $position;
            $titled[$title] ??= $position;
        }

        return $kin;
    }

    private static function side(Entry $entry): ?Side
    {
        return $entry->side ?? TitleSide::of($entry->title);
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
        $title = TitleSide::without($entry->title);
        $side = self::side($entry);
        $exchanged = Tokens::sidesSwapped($title);
        $other = match ($side) {
            Side::Left => Side::Right,
            Side::Right => Side::Left,
            default => null,
        };
        $candidates = [
            $other === null ? null : $nearest[self::key($title, $other)] ?? null,
            // A title that says both sides has them the other way round.
            $exchanged === $title ? null : $nearest[self::key($exchanged, $side)] ?? null,
            $exchanged === $title || $other === null ? null : $nearest[self::key($exchanged, $other)] ?? null,
        ];
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
}
