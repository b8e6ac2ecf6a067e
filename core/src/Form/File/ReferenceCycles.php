<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\File;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Contradiction;
use Gorvan\Core\Reading\JsonLines;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\SeveralProblems;

/** Entries that lead back to themselves by way of others, through `returns` and `mirrors`: none of them is the first. */
final class ReferenceCycles
{
    /** @return list<list<int>> positions, each circle once, from its first entry round */
    public static function of(Form $form): array
    {
        $circles = [];
        $done = []; // position => true once everything it leads to is known
        for ($start = 1; $start <= $form->count(); $start++) {
            $path = []; // position => its place on the way
            $at = $start;
            while ($at !== null && ! isset($done[$at]) && ! isset($path[$at])) {
                $path[$at] = count($path);
                $entry = $form->at($at);
                $to = $entry->returns ?? $entry->mirrors;
                $at = $to === null ? null : $form->positionOf($to);
            }
            $circle = $at !== null && isset($path[$at]) ? array_slice(array_keys($path), $path[$at]) : [];
            if (count($circle) > 1) {
                $first = (int) array_search(min($circle), $circle, true);
                $circles[] = [...array_slice($circle, $first), ...array_slice($circle, 0, $first)];
            }
            $done += array_fill_keys(array_keys($path), true);
        }

        return $circles;
    }

    /**
     * Refuses what was read when it has a circle; the audit of a form that is there tells of them instead.
     *
     * @param  string  $text  the file, for the lines of its entries
     *
     * @throws BadInput with every circle
     */
    public static function refuse(ReadForm $read, string $text): void
    {
        $circles = self::of($read->form);
        if ($circles === []) {
            return;
        }
        $lines = $read->lines === [] ? JsonLines::ofItems($text, 'entries') : $read->lines;
        throw SeveralProblems::all(array_map(static function (array $circle) use ($read, $lines): BadInput {
            return Contradiction::relationsInACircle(
                isset($lines[$circle[0] - 1]) ? (string) $lines[$circle[0] - 1] : '$.entries['.($circle[0] - 1).']',
                array_map(static fn (int $position): Message => Message::of('place.entry', position: $position, title: $read->form->at($position)->title), $circle),
            );
        }, $circles));
    }
}
