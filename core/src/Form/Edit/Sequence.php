<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Gone;

/**
 * The entries of a form in another order, or more or fewer of them, with its sections carried along: an entry stands in
 * the section of the entry before it, unless it stood in one before.
 */
final class Sequence
{
    /** The position of an entry, from 1. @throws BadInput when it is not there */
    public static function find(Form $form, string $id): int
    {
        return $form->positionOf($id) ?? throw Gone::entry($id);
    }

    /**
     * @param  list<Entry>  $entries  as they will stand
     * @param  list<string>  $resettled  ids that take the section of the entry before them, though they stood in one
     *
     * @throws BadInput when no entry is left, there are too many, or an id stands there twice
     */
    public static function of(Form $form, array $entries, array $resettled = []): Form
    {
        $was = [];
        foreach ($form->sections as $number => $section) {
            for ($position = $section->first; $position <= $section->last; $position++) {
                $was[$form->at($position)->id] = $number;
            }
        }
        $known = array_fill_keys(array_map(static fn (Entry $entry): string => $entry->id, $form->entries), true);
        $first = $last = [];
        $current = null;
        foreach ($entries as $at => $entry) {
            $isSettled = isset($known[$entry->id]) && ! in_array($entry->id, $resettled, true);
            $current = $isSettled ? $was[$entry->id] ?? null : $current ?? ($at === 0 ? $was[($entries[1] ?? $entry)->id] ?? null : null);
            if ($current !== null) {
                $first[$current] ??= $at + 1;
                $last[$current] = $at + 1;
            }
        }
        $sections = [];
        foreach ($form->sections as $number => $section) {
            if (isset($first[$number])) {
                $sections[] = new Section($section->title, $first[$number], $last[$number], $section->others);
            }
        }

        return $form->with(['entries' => $entries, 'sections' => self::apart($sections)]);
    }

    /**
     * Sections in order, none reaching into the next.
     *
     * @param  list<Section>  $sections
     * @return list<Section>
     */
    private static function apart(array $sections): array
    {
        usort($sections, static fn (Section $a, Section $b): int => $a->first <=> $b->first);
        foreach ($sections as $at => $section) {
            $next = $sections[$at + 1] ?? null;
            if ($next !== null && $section->last >= $next->first) {
                $sections[$at] = new Section($section->title, $section->first, $next->first - 1, $section->others);
            }
        }

        return array_values(array_filter($sections, static fn (Section $section): bool => $section->last >= $section->first));
    }
}
