<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\EntryStanding;
use Gorvan\Core\Standing\Sureness;
use JsonSerializable;

/**
 * One student’s standing in one entry: a class of thirty has thousands of them, so each is a short list and not an object.
 *
 * Position; support, 0 to 5; recall, to a ten-thousandth; what it is as bits (1 holds, 2 assumed, 4 met, and eight times how sure
 * it is: 1 good, 2 fading, 3 weak); and where the sides are apart, the support of the left and of the right.
 */
final readonly class CellData implements JsonSerializable
{
    private const HOLDS = 1;

    private const ASSUMED = 2;

    private const MET = 4;

    private const SURE = 8;

    private const EXACT = 4;

    public function __construct(private EntryStanding $entry)
    {
    }

    public static function of(EntryStanding $entry): self
    {
        return new self($entry);
    }

    /** @return array{int, int|null, float|null, int, 4?: int|null, 5?: int|null} */
    public function jsonSerialize(): array
    {
        $whole = $this->entry->whole;
        $sure = match ($whole->sureness()) {
            null => 0,
            Sureness::Good => 1,
            Sureness::Fading => 2,
            Sureness::Weak => 3,
        };
        $is = ($whole->holds() ? self::HOLDS : 0) + ($whole->isAssumed() ? self::ASSUMED : 0) + ($whole->isMet() ? self::MET : 0) + self::SURE * $sure;
        $cell = [$this->entry->position, $whole->support?->value, $whole->recall === null ? null : round($whole->recall, self::EXACT), $is];

        return $this->entry->left === $this->entry->right ? $cell : [...$cell, $this->entry->left?->support?->value, $this->entry->right?->support?->value];
    }
}
