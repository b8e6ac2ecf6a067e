<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Care\Caution;
use Gorvan\Core\Cue\CueCard;
use Gorvan\Core\Cue\CueFading;
use Gorvan\Core\Reading\Message;

/** One entry as a teacher cues it, turned for a view. */
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
        public int $position,
        public ?int $number,
        public string $title,
        public ?string $alias,
        public ?string $repetition,
        public ?string $side,
        public ?string $own,
        public Message $left,
        public Message $right,
        public array $cues,
        public array $keyWords,
        public array $firstWords,
        public array $breaths,
        public ?Message $turn,
        public array $travel,
        public array $checks,
        public array $cautions,
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
