<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\Form;
use App\Models\Viewer;
use App\Record\Checkpoints;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Str;

/** Writes a form's document into its rows, each entry into the row it always had, and keeps the state as a version. */
final class KeepForm
{
    /** How many states of a form are kept; more than anybody takes back in a season of editing. */
    public const MOST_VERSIONS = 400;

    public function __construct(private readonly Checkpoints $checkpoints)
    {
    }

    /** @param  list<Message>  $what  what changed */
    public function __invoke(Form $row, CoreForm $form, array $what, ?Viewer $by): void
    {
        $writer = new FormFileWriter;
        /** @var array<string, Entry> $there rows by the entry's id, those taken out of the form too */
        $there = Entry::where('form_id', $row->id)->get()->keyBy('key')->all();
        $rows = [];
        $sidesChanged = false;
        foreach ($form->entries as $at => $entry) {
            $document = $writer->entry($entry);
            $was = $there[$entry->id] ?? null;
            if ($was === null || $was->position !== $at + 1 || $was->document != $document) {
                $sidesChanged = $sidesChanged || ($was !== null && $was->sided !== $entry->isDoneOnBothSides());
                $rows[] = [
                    'id' => $was->id ?? (string) Str::uuid7(),
                    'school_id' => $row->school_id,
                    'form_id' => $row->id,
                    'position' => $at + 1,
                    'key' => $entry->id,
                    'document' => json_encode($document, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                    'sided' => $entry->isDoneOnBothSides(),
                ];
            }
            unset($there[$entry->id]);
        }
        Entry::whereIn('id', array_values(array_map(static fn (Entry $gone): string => $gone->id, $there)))->update(['position' => null]);
        foreach (array_chunk($rows, 200) as $chunk) {
            Entry::upsert($chunk, ['school_id', 'id'], ['position', 'document', 'sided']);
        }
        if ($sidesChanged) {
            $this->checkpoints->discard(); // whoever has a record of that entry has other tracks now
        }
        $lessons = $writer->lessons($form);
        $row->update(['title' => $form->title, 'document' => $writer->root($form), 'own_lessons' => $lessons === [] ? null : $lessons, 'version' => $row->version + 1]);
        $row->unsetRelations();
        $row->versions()->create(['number' => $row->version, 'made_by' => $by?->authorId(), 'made_at' => now(), 'what' => self::told($what), 'file' => $writer->write($form)]);
        $row->versions()->where('number', '<=', $row->version - self::MOST_VERSIONS)->delete();
    }

    /** @param  list<Message>  $what */
    public static function told(array $what): string
    {
        return json_encode(array_map(static fn (Message $one): array => $one->toData(), $what), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }
}
