<?php

declare(strict_types=1);

namespace Gorvan\Core\Floor;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Track\FloorTrack;

/** A form done without its turns, everyone facing the front throughout, for a room too small or a class seated. */
final readonly class FrontFacing
{
    /**
     * @param  list<int>  $joins  positions of entries whose turn is left out, so that the join after them is another one
     */
    private function __construct(public Form $form, public array $joins)
    {
    }

    public static function of(Form $form): self
    {
        $joins = [];
        foreach ($form->entries as $at => $entry) {
            if ($entry->turn !== null && fmod($entry->turn, 360.0) !== 0.0) {
                $joins[] = $at + 1;
            }
        }

        return new self(
            $form->with(['entries' => array_map(static fn (Entry $entry): Entry => $entry->turn === null ? $entry : $entry->with(['turn' => 0.0]), $form->entries)]),
            $joins,
        );
    }

    public function track(): FloorTrack
    {
        return FloorTrack::of($this->form);
    }
}
