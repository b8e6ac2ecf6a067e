<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Track\FloorTrack;
use Gorvan\Core\Reading\Message;

/** `travel`: a form closes near where it opened, by default within 2 steps. */
final readonly class TravelRule implements FindingRule
{
    public function __construct(public float $within = 2.0)
    {
    }

    public function findings(Form $form): array
    {
        $track = FloorTrack::of($form);
        $end = $track->closing();
        $far = hypot($end->x, $end->y);
        if ($far <= $this->within + 1e-9) {
            return [];
        }
        $where = array_filter([
            abs($end->y) < 0.05 ? null : Message::of($end->y > 0 ? 'way.forward' : 'way.back', steps: self::steps(abs($end->y))),
            abs($end->x) < 0.05 ? null : Message::of($end->x > 0 ? 'way.right' : 'way.left', steps: self::steps(abs($end->x))),
        ]);

        return [new Finding(
            FindingCode::Travel,
            null,
            $track->isComplete() ? Severity::Error : Severity::Doubt,
            Message::of($track->isComplete() ? 'finding.travel.far' : 'finding.travel.far_perhaps', steps: self::steps($far), where: array_values($where)),
            measure: sprintf('%.3f,%.3f', $end->x, $end->y),
        )];
    }

    private static function steps(float $steps): float
    {
        return round($steps, 1);
    }
}
