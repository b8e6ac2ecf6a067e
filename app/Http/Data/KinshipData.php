<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Kinship;

/** A relation the reader supposed. */
final readonly class KinshipData
{
    public function __construct(
        public int $position,
        public int $to,
        public bool $isMirror,
        public string $key,
    ) {
    }

    public static function of(Kinship $kin, Form $form): self
    {
        return new self($kin->position, $kin->to, $kin->isMirror, $form->at($kin->position)->id);
    }
}
