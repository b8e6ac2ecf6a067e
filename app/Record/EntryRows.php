<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Entry;

/** Which row an entry of a form is, and whether it has sides, for entries of any form, read once a request. */
final class EntryRows
{
    /** @var array<string, array<string, string>> row by form and the entry's id in the form file */
    private array $rows = [];

    /** @var array<string, bool> whether the entry of a row is done on both sides */
    private array $sided = [];

    /** @param  array<string>  $forms */
    public function load(array $forms): void
    {
        $new = array_values(array_diff(array_unique($forms), array_keys($this->rows)));
        if ($new === []) {
            return;
        }
        $this->rows += array_fill_keys($new, []);
        foreach (Entry::whereIn('form_id', $new)->toBase()->get(['id', 'form_id', 'key', 'sided']) as $row) {
            $this->rows[$row->form_id][$row->key] = $row->id;
            $this->sided[$row->id] = $row->sided;
        }
    }

    public function idOf(string $form, string $key): ?string
    {
        return $this->rows[$form][$key] ?? null;
    }

    /** @param  string  $subject  key of a subject of the record */
    public function hasSides(string $subject): bool
    {
        if (! array_key_exists($subject, $this->sided)) {
            $this->sided[$subject] = preg_match('/^[0-9a-f-]{36}$/D', $subject) === 1
                && Entry::where('id', $subject)->value('sided') === true;
        }

        return $this->sided[$subject];
    }

    /**
     * Several at once, so that each is not asked for alone.
     *
     * @param  list<string>  $subjects
     */
    public function loadSides(array $subjects): void
    {
        $new = array_values(array_filter($subjects, fn (string $subject): bool => ! array_key_exists($subject, $this->sided) && preg_match('/^[0-9a-f-]{36}$/D', $subject) === 1));
        foreach (array_chunk($new, 1000) as $chunk) {
            foreach (Entry::whereIn('id', $chunk)->toBase()->get(['id', 'sided']) as $row) {
                $this->sided[$row->id] = $row->sided;
            }
        }
    }
}
