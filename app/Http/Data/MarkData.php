<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Side;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Support;

/** A mark made at a meeting, not taken back. */
final readonly class MarkData
{
    /**
     * @param  string|null  $stepId  of a step of a partner drill
     * @param  Support|Keeping  $support  on the ladder of what it is about
     */
    public function __construct(
        public string $id,
        public string $studentId,
        public ?string $entryId,
        public ?string $principleId,
        public ?string $stepId,
        public ?Side $side,
        public Support|Keeping $support,
        public string $at,
    ) {
    }
}
