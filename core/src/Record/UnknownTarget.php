<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

use Gorvan\Core\Reading\Message;

final class UnknownTarget extends RecordFault
{
    public static function of(string $id, string $of): self
    {
        return new self($id, Message::of('record.unknown_target', id: $id, of: $of));
    }
}
