<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Principle\Bite;
use Gorvan\Core\Principle\Bites;
use Gorvan\Core\Principle\PrincipleSet as CoreSet;

/** A set as core knows it, and which row each of its principles is: plans, logs and marks name the rows. */
final readonly class PlacedPrinciples
{
    /**
     * @param  string  $id  of the set's row
     * @param  array<string, string>  $ids  rows by the ids of the set's file
     */
    public function __construct(public string $id, public CoreSet $set, public array $ids)
    {
    }

    /** The set under the ids of its rows. */
    public function recorded(): CoreSet
    {
        return $this->set->identified($this->ids);
    }

    /** Bites of the set's file under the ids of its rows; of a principle that went they are left out. */
    public function recordedBites(Bites $bites): Bites
    {
        $known = array_filter($bites->all, fn (Bite $bite): bool => isset($this->ids[$bite->principle]));

        return new Bites(array_values(array_map(fn (Bite $bite): Bite => new Bite($this->ids[$bite->principle], $bite->entry, $bite->strength, $bite->note), $known)));
    }
}
