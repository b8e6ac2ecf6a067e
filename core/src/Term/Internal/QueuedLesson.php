<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Term\LessonKind;

/**
 * A lesson that is still to be given: its number in the cut, what of it is open, its load, and its whole minutes.
 *
 * @internal
 */
final readonly class QueuedLesson
{
    public function __construct(public int $number, public LessonKind $kind, public Passage $passage, public float $load, public int $minutes)
    {
    }
}
