<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Term\Approach;

/** A course more of a term. */
final readonly class AddedCourse implements Sent
{
    /** @param  list<SentPassage>|null  $keeps */
    public function __construct(
        #[Rules('uuid')]
        public string $form,
        public Approach $approach,
        #[Rules('min:0.1', 'max:0.9')]
        public float $share,
        #[Rules('min:1', 'max:600')]
        public ?int $from = null,
        #[Rules('min:1', 'max:600')]
        public ?int $to = null,
        public ?SentPace $pace = null,
        #[Rules('max:50')]
        public ?array $keeps = null,
    ) {
    }
}
