<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\Form;
use App\Models\User;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Form\FormFileWriter;
use Illuminate\Support\Str;

/** Writes a form's score into its rows, each entry into the row it always had, and keeps the state as a version. */
final class KeepScore
{
    /** How many states of a form are kept; more than anybody takes back in a season of editing. */
    public const MOST_VERSIONS = 400;

    /**
     * @param  list<string>  $what  what changed, in sentences
     */
    public function __invoke(Form $row, CoreForm $form, array $what, ?User $by): void
    {
        $writer = new FormFileWriter;
        /** @var array<string, Entry> $there rows by the entry's id, those taken out of the form too */
        $there = Entry::where('form_id', $row->id)->get()->keyBy('key')->all();
        $rows = [];
        foreach ($form->entries as $at => $entry) {
            $score = $writer->entry($entry);
            $was = $there[$entry->id] ?? null;
            if ($was === null || $was->position !== $at + 1 || $was->score != $score) {
                $rows[] = [
                    'id' => $was->id ?? (string) Str::uuid7(),
                    'school_id' => $row->school_id,
                    'form_id' => $row->id,
                    'position' => $at + 1,
                    'key' => $entry->id,
                    'score' => json_encode($score, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                ];
            }
            unset($there[$entry->id]);
        }
        Entry::whereIn('id', array_values(array_map(static fn (Entry $gone): string => $gone->id, $there)))->update(['position' => null]);
        foreach (array_chunk($rows, 200) as $chunk) {
            Entry::upsert($chunk, ['school_id', 'id'], ['position', 'score']);
        }
        $row->update(['title' => $form->title, 'score' => $writer->root($form), 'version' => $row->version + 1]);
        $row->unsetRelations();
        $row->versions()->create(['number' => $row->version, 'made_by' => $by?->id, 'made_at' => now(), 'what' => $what, 'file' => $writer->write($form)]);
        $row->versions()->where('number', '<=', $row->version - self::MOST_VERSIONS)->delete();
    }
}
