<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Cue\CueCard;
use Gorvan\Core\Reading\Message;

/** What of a cue card depends on which way the teacher stands. */
final readonly class TurnedCardData
{
    /**
     * @param  Message  $left  what `{L}` is said as, and `right` what `{R}` is
     * @param  list<Message>  $travel
     */
    public function __construct(
        public int $position,
        public ?string $own,
        public Message $left,
        public Message $right,
        public ?Message $turn,
        public array $travel,
    ) {
    }

    public static function of(int $position, CueCard $card): self
    {
        return new self($position, $card->own, $card->left, $card->right, $card->turn, $card->travel);
    }
}
