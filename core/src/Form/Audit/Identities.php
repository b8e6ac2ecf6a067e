<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Form;

/** Which entries are occurrences of the same movement, on either side: they lead back to one first occurrence. */
final class Identities
{
    /** @return list<int> the position of the first occurrence, for each entry in order */
    public static function of(Form $form): array
    {
        $roots = [];
        foreach ($form->entries as $at => $entry) {
            $earlier = self::earlier($form, $entry->returns, $at) ?? self::earlier($form, $entry->mirrors, $at);
            $roots[] = $earlier === null ? $at + 1 : $roots[$earlier - 1] ?? $earlier;
        }

        return $roots;
    }

    private static function earlier(Form $form, ?string $id, int $at): ?int
    {
        $to = $id === null ? null : $form->positionOf($id);

        return $to !== null && $to <= $at ? $to : null;
    }

    /** @return array<int, list<int>> the positions of each movement, by its first occurrence */
    public static function groups(Form $form): array
    {
        $groups = [];
        foreach (self::of($form) as $at => $root) {
            $groups[$root][] = $at + 1;
        }

        return $groups;
    }
}
