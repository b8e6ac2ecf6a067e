<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Side;
use Gorvan\Core\Record\FactKind;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Support;

/** One contact with a movement. */
final readonly class RecallContactData
{
    /**
     * @param  float|null  $before  recall just before it, null at the first
     */
    public function __construct(
        public string $on,
        public FactKind $kind,
        public Support|Keeping|null $level,
        public ?Side $side,
        public ?float $before,
    ) {
    }
}
