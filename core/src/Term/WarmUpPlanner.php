<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Care\WarmUpChooser;
use Gorvan\Core\Form\Straining;

/**
 * What a meeting warms up with, by the joints that its entries load (engine 12): 2 for each new entry that loads a joint, 1
 * for each that is gone through again; one that is both is new.
 */
final readonly class WarmUpPlanner
{
    private const NEW = 2;

    private const KNOWN = 1;

    public function __construct(private Straining $straining = new Straining)
    {
    }

    /** @return list<string> ids of warm-ups */
    public function choose(WarmUpOutset $outset, MeetingPlan $plan): array
    {
        return WarmUpChooser::choose($outset->list, (float) ($plan->boxes[Box::WarmUp->value] ?? 0), $this->loaded($outset, $plan), $outset->isCold);
    }

    /** @return array<string, int> weight by the name of the joint */
    public function loaded(WarmUpOutset $outset, MeetingPlan $plan): array
    {
        $loaded = [];
        foreach ($plan->courses as $course) {
            $form = $outset->forms[$course->course] ?? null;
            $new = $course->given();
            $again = array_diff([...$course->inBox(Box::New), ...$course->inBox(Box::Review)], $new);
            foreach ([self::NEW => $new, self::KNOWN => $again] as $weight => $entries) {
                foreach (array_unique($entries) as $id) {
                    $position = $form?->positionOf($id);
                    foreach ($position === null ? [] : $this->straining->joints($form->at($position)) as $joint) {
                        $loaded[$joint->value] = ($loaded[$joint->value] ?? 0) + $weight;
                    }
                }
            }
        }

        return $loaded;
    }
}
