<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use App\Models\PrincipleSet;
use App\Models\Viewer;
use Gorvan\Core\Principle\Bites;
use Gorvan\Core\Principle\PrincipleSet as CoreSet;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Adds a set of principles to the school, and, where a file says it, where it bites in a form. */
final class SavePrinciples
{
    public function __construct(private readonly KeepPrinciples $keep, private readonly JoinPrinciples $join)
    {
    }

    public function __invoke(CoreSet $set, ?Viewer $by, Bites $bites = new Bites, ?Form $form = null): PrincipleSet
    {
        return DB::transaction(function () use ($set, $by, $bites, $form): PrincipleSet {
            $row = PrincipleSet::create(['title' => $set->title, 'document' => $set->json(), 'version' => 0]);
            ($this->keep)($row, $set, [Message::of('principles.made', count: count($set->principles))], $by);
            if ($form !== null && $bites->all !== []) {
                $this->join->write($row, $form, $bites, 0);
            }

            return $row;
        });
    }
}
