<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Cue\CueCard;
use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** What of a cue card depends on which way the teacher stands. */
#[OA\Schema]
final readonly class TurnedCardData
{
    /**
     * @param  Message  $left  what `{L}` is said as, and `right` what `{R}` is
     * @param  list<Message>  $travel
     */
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public ?string $own,
        #[OA\Property(ref: MessageData::class)]
        public Message $left,
        #[OA\Property(ref: MessageData::class)]
        public Message $right,
        #[OA\Property(ref: MessageData::class, nullable: true)]
        public ?Message $turn,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $travel,
    ) {
    }

    public static function of(int $position, CueCard $card): self
    {
        return new self($position, $card->own, $card->left, $card->right, $card->turn, $card->travel);
    }
}
