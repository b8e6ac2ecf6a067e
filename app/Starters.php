<?php

declare(strict_types=1);

namespace App;

use App\Http\Data\StarterData;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\File\FormFileReader;

/** The sets that come with Gorvan for a school to begin from. Each file says which of its values come from memory. */
final class Starters
{
    /** @return list<StarterData> by title */
    public function all(): array
    {
        $starters = [];
        foreach (glob(database_path('starters/*.json')) ?: [] as $file) {
            $text = (string) file_get_contents($file);
            $form = (new FormFileReader)->read($text)->form;
            $starters[] = new StarterData(
                $form->title,
                count(array_filter($form->entries, static fn (Entry $entry): bool => $entry->isCounted())),
                $form->about ?? '',
                $text,
            );
        }
        usort($starters, static fn (StarterData $a, StarterData $b): int => $a->title <=> $b->title);

        return $starters;
    }
}
