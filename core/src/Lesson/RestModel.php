<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;

/** How good each join of a form is to stop at (engine 4). */
final readonly class RestModel
{
    public function __construct(
        public float $sectionEnd = 0.5,
        public float $settled = 0.2,
        public float $squareFacing = 0.1,
        public float $sidesTogether = 0.2,
    ) {
    }

    /** @return list<JoinRest> one for each join, so one fewer than entries */
    public function of(Form $form): array
    {
        $joins = [];
        $facing = 0.0; // degrees since the start; null after the first turn that is not known
        for ($position = 1; $position < $form->count(); $position++) {
            $entry = $form->at($position);
            $facing = $facing === null || $entry->turn === null ? null : $facing + $entry->turn;
            $rest = ($form->sectionEndsAt($position) ? $this->sectionEnd : 0.0)
                + ($entry->weightEnd?->isSettled() === true ? $this->settled : 0.0)
                + ($facing !== null && fmod($facing, 90.0) === 0.0 ? $this->squareFacing : 0.0)
                + (LoadModel::mirrorsEarlier($form, $position + 1) ? 0.0 : $this->sidesTogether);
            $joins[] = new JoinRest($position, $entry->rest ?? max(0.0, min(1.0, $rest)), $entry->cut);
        }

        return $joins;
    }
}
