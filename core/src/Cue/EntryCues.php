<?php

declare(strict_types=1);

namespace Gorvan\Core\Cue;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Tokens;

/** What is said to an entry. One that has no cue of its own has those of what it returns to, and of what it mirrors the other way round. */
final class EntryCues
{
    /** @return list<string> with `{L}` and `{R}` for the class's sides */
    public static function of(Form $form, int $position): array
    {
        $isReversed = false;
        // A reference leads back, so this ends; one that leads nowhere, or on, says nothing.
        while (true) {
            $entry = $form->at($position);
            $cues = $entry->allCues();
            $to = $form->positionOf((string) ($entry->returns ?? $entry->mirrors));
            if ($cues !== [] || $to === null || $to >= $position) {
                return $isReversed ? array_map(Tokens::swapped(...), $cues) : $cues;
            }
            $isReversed = $entry->returns === null ? ! $isReversed : $isReversed;
            $position = $to;
        }
    }
}
