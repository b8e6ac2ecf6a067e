<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\School;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Standing\Reliability;

/** Reads recall by another factor from now on, or by none; nothing on record changes, and what is to come is planned again. */
final class AdoptFactor
{
    public function __construct(private readonly CurrentSchool $school, private readonly ReplanGroup $replan)
    {
    }

    public function __invoke(?float $factor): void
    {
        if ($factor !== null && ($factor < Reliability::LEAST_FACTOR || $factor > Reliability::MOST_FACTOR)) {
            throw Refused::because(Message::of('forecast.range', least: Reliability::LEAST_FACTOR, most: Reliability::MOST_FACTOR), 'factor');
        }
        $school = School::findOrFail($this->school->id());
        $school->update(['recall_factor' => $factor]);
        $this->school->get()->refresh();
        if ($school->wasChanged('recall_factor')) {
            foreach (Group::pluck('id') as $group) {
                $this->replan->asked($group, 'cause.factor');
            }
        }
    }
}
