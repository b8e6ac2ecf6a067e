<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use DomainException;
use Gorvan\Core\Reading\Message;

/** The form cannot be cut as asked; the reason says what would work. */
abstract class CutImpossible extends DomainException
{
    final protected function __construct(public readonly Message $reason)
    {
        parent::__construct($reason->code.' '.json_encode($reason->with));
    }
}
