<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Reading\Message;

final class TargetNotPositive extends CutImpossible
{
    public static function was(float $target): self
    {
        return new self(Message::of('cut.target', target: $target));
    }
}
