<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Form;
use App\Models\JoinedForm;
use App\Models\PrincipleSet;
use Gorvan\Core\Principle\Bites;

/** Where the principles of a set bite in a form. */
final readonly class BitesData
{
    /**
     * @param  list<BiteData>  $bites
     * @param  int  $unused  kept, and on entries or principles that went
     */
    public function __construct(
        public string $setId,
        public string $formId,
        public int $version,
        public array $bites,
        public int $unused,
    ) {
    }

    public static function of(PrincipleSet $set, Form $form, ?JoinedForm $joined): self
    {
        $all = $joined?->bites() ?? new Bites;
        $used = $all->within($set->set(), $form->placed()->form);

        return new self($set->id, $form->id, $joined->version ?? 0, array_map(BiteData::of(...), $used->all), count($all->all) - count($used->all));
    }
}
