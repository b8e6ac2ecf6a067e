<?php

declare(strict_types=1);

namespace App\Care\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Care\BodySide;
use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Reading\Fields;

/** Something of a student's body that is planned around. */
final readonly class SentConsideration implements Sent
{
    /** @param  ConsiderationSeen|null  $was  what was seen */
    public function __construct(
        public Consideration $what,
        public ?BodySide $side = null,
        #[Rules('date_format:Y-m-d')]
        public ?string $since = null,
        #[Rules('date_format:Y-m-d')]
        public ?string $until = null,
        #[Rules('max:'.Fields::LONG)]
        public ?string $note = null,
        public ?ConsiderationSeen $was = null,
    ) {
    }
}
