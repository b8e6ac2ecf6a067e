<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Reading\Message;

/** The load of a lesson and the number of lessons are both said, and one follows from the other. */
final class TargetAndLessons extends CutImpossible
{
    public static function bothSaid(): self
    {
        return new self(Message::of('cut.both'));
    }
}
