<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use App\Models\Viewer;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Form\KinshipReader;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Adds a form to the school and cuts it into lessons. */
final class SaveForm
{
    public function __construct(private readonly CutForm $cut, private readonly KeepForm $keep)
    {
    }

    /** @param  list<string>  $declined ids of entries whose supposed relation the teacher did not confirm */
    public function __invoke(CoreForm $form, array $declined = [], ?Viewer $by = null): Form
    {
        return DB::transaction(function () use ($form, $declined, $by): Form {
            $form = KinshipReader::declined($form, $declined);
            $row = Form::create(['title' => $form->title, 'document' => (new FormFileWriter)->root($form), 'version' => 0]);
            ($this->keep)($row, $form, [Message::of('version.made', count: $form->count())], $by);
            ($this->cut)($row);

            return $row;
        });
    }
}
