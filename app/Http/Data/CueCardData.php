<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Care\Caution;
use Gorvan\Core\Cue\CueCard;
use Gorvan\Core\Cue\CueFading;
use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** One entry as a teacher cues it, turned for a view. */
#[OA\Schema]
final readonly class CueCardData
{
    /**
     * @param  list<string>  $cues
     * @param  list<string>  $keyWords  what is left of the cues as they fade, and `firstWords` what is left then
     * @param  list<string>  $firstWords
     * @param  list<string>  $breaths
     * @param  list<string>  $checks
     * @param  list<Message>  $cautions
     * @param  list<Message>  $travel
     * @param  Message  $left  what `{L}` is said as, and `right` what `{R}` is
     */
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public ?int $number,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $alias,
        #[OA\Property]
        public ?string $repetition,
        #[OA\Property]
        public ?string $side,
        #[OA\Property]
        public ?string $own,
        #[OA\Property(ref: MessageData::class)]
        public Message $left,
        #[OA\Property(ref: MessageData::class)]
        public Message $right,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $cues,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $keyWords,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $firstWords,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $breaths,
        #[OA\Property(ref: MessageData::class, nullable: true)]
        public ?Message $turn,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $travel,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $checks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $cautions,
        #[OA\Property]
        public bool $needsSupport,
    ) {
    }

    /**
     * @param  array<int, CueCard>  $cards  by position
     * @return list<self>
     */
    public static function each(array $cards): array
    {
        return array_map(self::of(...), array_keys($cards), array_values($cards));
    }

    public static function of(int $position, CueCard $card): self
    {
        $entry = $card->entry;

        return new self(
            $position,
            $entry->number,
            $entry->title,
            $entry->aliases === [] ? null : $entry->aliases[0]->text,
            $entry->repetition?->stated,
            $card->side,
            $card->own,
            $card->left,
            $card->right,
            CueFading::All->of($card->cues),
            CueFading::KeyWords->of($card->cues),
            CueFading::FirstWord->of($card->cues),
            $card->breaths,
            $card->turn,
            $card->travel,
            $card->checks,
            $card->cautions,
            array_filter($entry->cautions, static fn (Caution $one): bool => $one->do === Adaptation::Support || $one->do === Adaptation::Seated) !== [],
        );
    }
}
