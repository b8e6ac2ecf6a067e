<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

use DateTimeZone;
use Gorvan\Core\Reading\Message;

/** An events file as its reader understood it: the zone its days are in, its record, and what the reader did not know. */
final readonly class ReadRecord
{
    /** @param  list<Message>  $warnings */
    public function __construct(public DateTimeZone $zone, public Record $record, public array $warnings)
    {
    }
}
