<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Floor\FloorTrack;
use Gorvan\Core\Form\Form;

/** `travel`: a form closes near where it opened, by default within 2 steps. */
final readonly class TravelRule implements FindingRule
{
    public function __construct(public float $within = 2.0)
    {
    }

    public function findings(Form $form): array
    {
        $track = FloorTrack::of($form);
        $end = $track->end();
        $far = hypot($end->x, $end->y);
        if ($far <= $this->within + 1e-9) {
            return [];
        }
        $where = array_filter([
            abs($end->y) < 0.05 ? null : self::steps(abs($end->y)).($end->y > 0 ? ' forward' : ' back'),
            abs($end->x) < 0.05 ? null : self::steps(abs($end->x)).($end->x > 0 ? ' to the right' : ' to the left'),
        ]);

        return [new Finding(
            FindingCode::Travel,
            null,
            $track->isComplete() ? Severity::Error : Severity::Doubt,
            'The closing ends '.self::steps($far).' steps from the opening: '.implode(' and ', $where).'.'
                .($track->isComplete() ? '' : ' Not every entry says its turn and travel.'),
            measure: sprintf('%.3f,%.3f', $end->x, $end->y),
        )];
    }

    private static function steps(float $steps): string
    {
        return (string) round($steps, 1);
    }
}
