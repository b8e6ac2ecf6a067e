<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Reading\Message;

final class SizeOutOfRange extends CutImpossible
{
    /** @param  string  $what  minutes, minutes_per_load or lambda */
    public static function of(string $what, float $is, float $least, float $most): self
    {
        return new self(Message::of("cut.size.$what", is: is_finite($is) ? $is : 0.0, least: $least, most: $most));
    }
}
