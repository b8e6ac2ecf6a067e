<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Principle\Principle;

/** What the week is about, and what to look for. */
final readonly class HomeFocusData
{
    /** @param  list<string>  $look */
    public function __construct(
        public string $title,
        public ?string $says,
        public array $look,
    ) {
    }

    public static function of(Principle $one): self
    {
        return new self($one->title, $one->says, $one->look);
    }
}
