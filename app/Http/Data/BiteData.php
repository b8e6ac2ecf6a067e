<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Principle\Bite;

/** How much an entry shows a principle. */
final readonly class BiteData
{
    /**
     * @param  string  $principle  by its key
     * @param  string  $entry  by its id in the form
     */
    public function __construct(
        public string $principle,
        public string $entry,
        public int $strength,
        public ?string $note,
    ) {
    }

    public static function of(Bite $bite): self
    {
        return new self($bite->principle, $bite->entry, $bite->strength, $bite->note);
    }
}
