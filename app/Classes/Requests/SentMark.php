<?php

declare(strict_types=1);

namespace App\Classes\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use DateTimeImmutable;
use Gorvan\Core\Form\Side;

/** What was seen of one student, in an entry, a principle or a step of a drill. */
final readonly class SentMark implements Sent
{
    /** @param  string  $support  of an entry or a step its support, of a principle its keeping */
    public function __construct(
        #[Rules('ulid')]
        public string $id,
        #[Rules('uuid')]
        public string $student,
        public string $support,
        public DateTimeImmutable $at,
        #[Rules('uuid')]
        public ?string $entry = null,
        #[Rules('uuid', 'required_without_all:marks.*.entry,marks.*.step')]
        public ?string $principle = null,
        #[Rules('uuid')]
        public ?string $step = null,
        #[Rules('in:left,right')]
        public ?Side $side = null,
    ) {
    }
}
