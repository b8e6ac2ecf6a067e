<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Form\FormFileWriter;
use Illuminate\Support\Facades\DB;

/** Adds a form to the school and cuts it into lessons. */
final class SaveForm
{
    public function __construct(private readonly CutForm $cut)
    {
    }

    /** @param  list<string>  $declined ids of entries whose supposed relation the teacher did not confirm */
    public function __invoke(CoreForm $form, array $declined = []): Form
    {
        return DB::transaction(function () use ($form, $declined): Form {
            $row = Form::create([
                'title' => $form->title,
                'family' => $form->family,
                'announced' => $form->announced,
                'breath_seconds' => $form->breathSeconds,
                'footfall' => $form->footfall?->value,
                'others' => (object) $form->others,
            ]);
            foreach ($form->sections as $section) {
                $row->sections()->create(['title' => $section->title, 'first' => $section->first, 'last' => $section->last, 'others' => (object) $section->others]);
            }
            $writer = new FormFileWriter;
            foreach ($form->entries as $at => $entry) {
                $score = $writer->entry($entry);
                if (in_array($entry->id, $declined, true)) {
                    unset($score->returns, $score->mirrors);
                }
                $row->entries()->create(['position' => $at + 1, 'key' => $entry->id, 'score' => $score]);
            }
            ($this->cut)($row);

            return $row;
        });
    }
}
