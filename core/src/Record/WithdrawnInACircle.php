<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

use Gorvan\Core\Reading\Message;

/** It can be neither valid nor void. */
final class WithdrawnInACircle extends RecordFault
{
    public static function at(string $id): self
    {
        return new self($id, Message::of('record.circle', id: $id));
    }
}
