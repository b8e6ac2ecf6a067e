<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

use Gorvan\Core\Reading\Message;

final class IdReused extends RecordFault
{
    public static function by(string $id): self
    {
        return new self($id, Message::of('record.id_reused', id: $id));
    }
}
