<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\JsonNode;

/** Some of what is said of the form as a whole is something else now. */
final readonly class SetForm implements FormEdit
{
    /** @param  array<string, mixed>  $fields  as the form file has them; null takes a field out */
    public function __construct(public array $fields)
    {
    }

    public function apply(Form $form): Form
    {
        $data = array_replace(get_object_vars((new FormFileWriter)->root($form)), $this->fields, ['format' => FormFileReader::FORMAT,
            'entries' => [(object) ['id' => 'x', 'kind' => 'movement', 'title' => 'x']], 'sections' => null, 'lessons' => null]);
        try {
            $read = (new FormFileReader)->readNode(JsonNode::of((object) $data))->form;
        } catch (BadInput $e) {
            throw $e->movedTo('form.'.substr($e->place, 2));
        }

        return $read->with(['entries' => $form->entries, 'sections' => $form->sections, 'lessons' => $form->lessons]);
    }

    public function touches(): array
    {
        return ['form'];
    }

    public function isStructural(): bool
    {
        return false;
    }
}
