<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\File\EntryCells;
use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\JsonNode;

/** Some fields, or cells, of one entry are something else now. */
final readonly class SetEntry implements FormEdit
{
    /**
     * @param  array<string, mixed>  $fields  as the form file has them; null takes a field out
     * @param  array<string, string>  $cells  as typed, see {@see EntryCells}
     */
    public function __construct(public string $id, public array $fields = [], public array $cells = [])
    {
    }

    public function apply(Form $form): Form
    {
        $at = Sequence::find($form, $this->id) - 1;
        $entry = $form->entries[$at];
        if ($this->fields !== []) {
            $data = array_replace(get_object_vars((new FormFileWriter)->entry($entry)), $this->fields, ['id' => $entry->id]);
            try {
                $entry = (new FormFileReader)->entry(JsonNode::of((object) $data));
            } catch (BadInput $e) {
                throw $e->movedTo("$this->id.".substr($e->place, 2));
            }
        }
        if ($this->cells !== []) {
            try {
                $entry = (new EntryCells)->written($entry, $this->cells);
            } catch (BadInput $e) {
                throw $e->movedTo("$this->id.$e->place");
            }
        }

        return $form->with(['entries' => array_values(array_replace($form->entries, [$at => $entry]))]);
    }

    public function touches(): array
    {
        return [$this->id];
    }

    public function isStructural(): bool
    {
        return false;
    }
}
