<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Form;
use App\Models\JoinedForm;
use App\Models\PrincipleSet;
use Gorvan\Core\Principle\Bites;
use OpenApi\Attributes as OA;

/** Where the principles of a set bite in a form. */
#[OA\Schema]
final readonly class BitesData
{
    /**
     * @param  list<BiteData>  $bites
     * @param  int  $unused  kept, and on entries or principles that went
     */
    public function __construct(
        #[OA\Property]
        public string $setId,
        #[OA\Property]
        public string $formId,
        #[OA\Property]
        public int $version,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BiteData::class))]
        public array $bites,
        #[OA\Property]
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
