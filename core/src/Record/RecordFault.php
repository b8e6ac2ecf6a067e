<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

use DomainException;
use Gorvan\Core\Reading\Message;

/** A record contradicts itself. */
abstract class RecordFault extends DomainException
{
    final protected function __construct(public readonly string $factId, public readonly Message $reason)
    {
        parent::__construct($factId.' '.$reason->code.' '.json_encode($reason->with));
    }
}
