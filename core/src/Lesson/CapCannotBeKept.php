<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Reading\Message;

/** Bars hold together more than the largest lesson may carry, whatever the number of lessons. */
final class CapCannotBeKept extends CutImpossible
{
    /** @param  int  $from  position of the first entry of the run that may not be cut apart, and `to` of its last */
    public static function by(int $from, int $to, float $load, float $target, float $cap): self
    {
        return new self(Message::of('cut.cap', from: $from, to: $to, load: round($load, 2), cap: round($cap, 2), target: round($target, 2)));
    }
}
