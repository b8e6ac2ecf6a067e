<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Kinship;
use OpenApi\Attributes as OA;

/** A relation the reader supposed. */
#[OA\Schema]
final readonly class KinshipData
{
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public int $to,
        #[OA\Property]
        public bool $isMirror,
        #[OA\Property]
        public string $key,
    ) {
    }

    public static function of(Kinship $kin, Form $form): self
    {
        return new self($kin->position, $kin->to, $kin->isMirror, $form->at($kin->position)->id);
    }
}
