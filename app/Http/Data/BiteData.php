<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Principle\Bite;
use OpenApi\Attributes as OA;

/** How much an entry shows a principle. */
#[OA\Schema]
final readonly class BiteData
{
    /**
     * @param  string  $principle  by its key
     * @param  string  $entry  by its id in the form
     */
    public function __construct(
        #[OA\Property]
        public string $principle,
        #[OA\Property]
        public string $entry,
        #[OA\Property]
        public int $strength,
        #[OA\Property]
        public ?string $note,
    ) {
    }

    public static function of(Bite $bite): self
    {
        return new self($bite->principle, $bite->entry, $bite->strength, $bite->note);
    }
}
