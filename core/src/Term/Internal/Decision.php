<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\MeetingKind;

/**
 * What a course does at a meeting: its next lesson, or nothing new, and why.
 *
 * @internal
 */
final readonly class Decision
{
    /** @param  bool  $isHeldBack  for what the class remembers */
    private function __construct(public MeetingKind $kind, public ?QueuedLesson $lesson, public Message $why, public bool $isHeldBack = false)
    {
    }

    public static function gives(QueuedLesson $lesson, Message $why): self
    {
        return new self(MeetingKind::Lesson, $lesson, $why);
    }

    public static function holds(Message $why, MeetingKind $kind = MeetingKind::Consolidation): self
    {
        return new self($kind, null, $why);
    }

    public static function heldBack(Message $why): self
    {
        return new self(MeetingKind::Consolidation, null, $why, true);
    }

    /** The same evening, of another kind. */
    public function of(MeetingKind $kind): self
    {
        return new self($kind, $this->lesson, $this->why, $this->isHeldBack);
    }
}
