<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Form\Side;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Replay;
use Gorvan\Core\Memory\ReplayStep;
use Gorvan\Core\Record\Fact;

/** The recall of one entry over time, between its contacts. Pure. */
final readonly class RecallCurve
{
    /** Points drawn of one fall of recall: enough for a smooth line. */
    private const POINTS = 12;

    /**
     * @param  list<ReplayStep>  $contacts  in order
     * @param  array<int, float>  $points  recall by day, ascending; on the day of a contact what it left
     */
    private function __construct(public array $contacts, public array $points)
    {
    }

    /**
     * @param  list<Fact>  $facts  that stand, about one entry
     * @param  Side|null  $side  null where it has none
     * @param  int  $until  the day up to which it is drawn
     */
    public static function of(array $facts, ?Side $side, int $until, MemoryModel $model = new MemoryModel): self
    {
        $steps = (new Replay($model))->steps($facts, $side);
        $points = [];
        foreach ($steps as $n => $step) {
            // The day of the next contact shows what that leaves; the day before it, what it finds.
            $end = isset($steps[$n + 1]) ? $steps[$n + 1]->day - 1 : max($until, $step->day);
            $days = $end - $step->day;
            $count = min(self::POINTS, $days);
            for ($point = 0; $point <= $count; $point++) {
                $after = $count === 0 ? 0 : intdiv($days * $point, $count);
                $points[$step->day + $after] = $model->read($after, $step->state->stability);
            }
        }
        ksort($points);

        return new self($steps, $points);
    }
}
