<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Care\Strain;
use Gorvan\Core\Term\Box;

/** Why a student does something otherwise, or is asked. Private. */
final readonly class CareReasonData
{
    /**
     * @param  list<Strain>  $strains  that ask of it, where nothing says what to do
     */
    public function __construct(
        public Box $box,
        public ?int $position,
        public string $title,
        public ?Adaptation $do,
        public Consideration $for,
        public array $strains,
        public ?string $variant,
        public ?string $text,
    ) {
    }
}
