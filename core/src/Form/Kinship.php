<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\Message;

/** "Entry 12 returns to entry 4", or "entry 7 mirrors entry 6": positions from 1. */
final readonly class Kinship
{
    private function __construct(public int $position, public int $to, public bool $isMirror)
    {
    }

    public static function returns(int $position, int $to): self
    {
        return new self($position, $to, false);
    }

    public static function mirrors(int $position, int $to): self
    {
        return new self($position, $to, true);
    }

    public function said(): Message
    {
        return Message::of($this->isMirror ? 'inferred.mirrors' : 'inferred.returns', position: $this->position, to: $this->to);
    }
}
