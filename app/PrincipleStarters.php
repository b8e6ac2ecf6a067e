<?php

declare(strict_types=1);

namespace App;

use App\Http\Data\PrincipleStarterData;
use Gorvan\Core\Principle\PrincipleFile;

/** The sets of principles that come with Gorvan. Each says what is general knowledge in it and what comes from memory. */
final class PrincipleStarters
{
    /** @return list<PrincipleStarterData> the longest first */
    public function all(): array
    {
        $starters = [];
        foreach (glob(database_path('principles/*.json')) ?: [] as $file) {
            $text = (string) file_get_contents($file);
            $set = PrincipleFile::read($text)->set;
            $starters[] = new PrincipleStarterData($set->title, $set->about ?? '', count($set->principles), $text);
        }
        usort($starters, static fn (PrincipleStarterData $a, PrincipleStarterData $b): int => $b->principles <=> $a->principles);

        return $starters;
    }
}
