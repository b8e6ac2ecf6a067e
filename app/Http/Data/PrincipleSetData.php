<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Form;
use App\Models\JoinedForm;
use App\Models\PrincipleSet;
use Gorvan\Core\Principle\Principle;
use OpenApi\Attributes as OA;

/** A set of principles. */
#[OA\Schema]
final readonly class PrincipleSetData
{
    /**
     * @param  list<string>  $families
     * @param  list<PrincipleData>  $principles  in their order
     * @param  list<PrincipleFormData>  $forms  of the school, and how much of each is joined
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public int $version,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $about,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $families,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PrincipleData::class))]
        public array $principles,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PrincipleFormData::class))]
        public array $forms,
    ) {
    }

    public static function of(PrincipleSet $row): self
    {
        $placed = $row->placed();
        $joined = JoinedForm::where('set_id', $row->id)->get()->keyBy('form_id');

        return new self(
            $row->id,
            $row->version,
            $placed->set->title,
            $placed->set->about,
            $placed->set->families,
            array_map(static fn (Principle $one): PrincipleData => PrincipleData::of($one, $placed->ids[$one->id]), $placed->set->principles),
            array_values(Form::orderBy('title')->get(['id', 'school_id', 'title'])->map(static fn (Form $form): PrincipleFormData => new PrincipleFormData($form->id, $form->title, count($joined->get($form->id)?->bites()->all ?? [])))->all()),
        );
    }
}
