<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Principle\Principle;
use OpenApi\Attributes as OA;

/** What the week is about, and what to look for. */
#[OA\Schema]
final readonly class HomeFocusData
{
    /** @param  list<string>  $look */
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $says,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $look,
    ) {
    }

    public static function of(Principle $one): self
    {
        return new self($one->title, $one->says, $one->look);
    }
}
