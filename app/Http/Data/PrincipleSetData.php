<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Form;
use App\Models\JoinedForm;
use App\Models\PrincipleSet;
use Gorvan\Core\Principle\Principle;

/** A set of principles. */
final readonly class PrincipleSetData
{
    /**
     * @param  list<string>  $families
     * @param  list<PrincipleData>  $principles  in their order
     * @param  list<PrincipleFormData>  $forms  of the school, and how much of each is joined
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $title,
        public ?string $about,
        public array $families,
        public array $principles,
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
