<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;

/**
 * One entry becomes two. The first keeps the identity, the number and all that is done on the way; the second gets what
 * holds at the end (weight, stance, the join). Breaths and phases are shared out; a title with a comma, a colon or a
 * slash is parted there.
 */
final readonly class SplitEntry implements FormEdit
{
    /** @param  string  $as  the id of the second */
    public function __construct(public string $id, public string $as)
    {
    }

    public function apply(Form $form): Form
    {
        $at = Sequence::find($form, $this->id) - 1;
        $entry = $form->entries[$at];
        $parts = preg_split('/\s*(?:[,:\/;，、：]|\s[–-]\s)\s*/u', $entry->title, 2) ?: [$entry->title];
        $half = intdiv(count($entry->phases) + 1, 2);
        $breaths = $entry->breaths === null ? null : $entry->breaths / 2;
        $first = $entry->with([
            'title' => $parts[0] === '' ? $entry->title : $parts[0],
            'breaths' => $breaths,
            'phases' => array_slice($entry->phases, 0, $half),
            'weightEnd' => null, 'stance' => null, 'oneLeg' => null, 'rest' => null, 'cut' => null,
        ]);
        $second = new Entry(
            id: $this->as,
            kind: $entry->kind,
            title: ($parts[1] ?? '') === '' ? mb_strimwidth($entry->title, 0, 280).', second part' : $parts[1],
            side: $entry->side,
            breaths: $breaths,
            weightEnd: $entry->weightEnd,
            stance: $entry->stance,
            oneLeg: $entry->oneLeg,
            rest: $entry->rest,
            cut: $entry->cut,
            phases: array_slice($entry->phases, $half),
        );

        return Sequence::of($form, [...array_slice($form->entries, 0, $at), $first, $second, ...array_slice($form->entries, $at + 1)]);
    }

    public function touches(): array
    {
        return [$this->id];
    }

    public function isStructural(): bool
    {
        return true;
    }
}
