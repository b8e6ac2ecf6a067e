<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Reading\Message;

final class LessonsOutOfRange extends CutImpossible
{
    /** @param  int  $entries  of the passage that is cut */
    public static function of(int $lessons, int $entries): self
    {
        return new self(Message::of('cut.lessons', lessons: $lessons, count: $entries));
    }
}
