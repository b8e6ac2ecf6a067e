<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;

/** How good each join of a form is to stop at (engine 4). */
final readonly class RestModel
{
    /** Degrees; a facing that sums of halves and thirds have missed by less is square all the same. */
    private const SQUARE = 1e-6;

    public function __construct(
        public float $sectionEnd = 0.5,
        public float $settled = 0.2,
        public float $squareFacing = 0.1,
        public float $sidesTogether = 0.2,
    ) {
    }

    /**
     * @param  array<int, CutPin|null>  $pins  by the position before the join, instead of the form's own
     * @return list<JoinRest> one for each join, so one fewer than entries
     */
    public function of(Form $form, array $pins = []): array
    {
        $joins = [];
        $facing = 0.0; // degrees since the start; null after the first turn that is not known
        for ($position = 1; $position < $form->count(); $position++) {
            $entry = $form->at($position);
            $facing = $facing === null || $entry->turn === null ? null : $facing + $entry->turn;
            $rest = ($form->sectionEndsAt($position) ? $this->sectionEnd : 0.0)
                + ($entry->weightAtEnd()?->isSettled() === true ? $this->settled : 0.0)
                + ($facing !== null && self::isSquare($facing) ? $this->squareFacing : 0.0)
                + (self::nextMirrorsThis($form, $position) ? 0.0 : $this->sidesTogether);
            $joins[] = new JoinRest($position, $entry->rest ?? max(0.0, min(1.0, $rest)), array_key_exists($position, $pins) ? $pins[$position] : $entry->cut);
        }

        return $joins;
    }

    /** A cut would part the two sides of one movement. A mirror of an entry further back parts nothing. */
    private static function nextMirrorsThis(Form $form, int $position): bool
    {
        return LoadModel::mirrorsEarlier($form, $position + 1)
            && $form->positionOf((string) $form->at($position + 1)->mirrors) === $position;
    }

    private static function isSquare(float $facing): bool
    {
        return abs($facing - 90.0 * round($facing / 90.0)) <= self::SQUARE;
    }
}
