<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Term\LessonKind;

/**
 * A lesson that is still to be given, or what of it is open: its number in the cut, its passage and its load.
 *
 * @internal
 */
final readonly class QueuedLesson
{
    /** @param  bool  $isPart  it is not all of its lesson */
    public function __construct(public int $number, public LessonKind $kind, public Passage $passage, public float $load, public bool $isPart = false)
    {
    }
}
