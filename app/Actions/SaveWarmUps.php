<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\School;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Keeps the school's warm-ups, and chooses anew what the evenings still to come begin with. */
final class SaveWarmUps
{
    public function __construct(private readonly CurrentSchool $school, private readonly ReplanGroup $replan)
    {
    }

    /** @param  int  $version  of the list it was made from */
    public function __invoke(WarmUpList $list, int $version): void
    {
        DB::transaction(function () use ($list, $version): void {
            $school = School::lockForUpdate()->findOrFail($this->school->id());
            if ($school->warm_ups === $list->json()) {
                return; // sent twice
            }
            if ($school->warm_ups_version !== $version) {
                throw Refused::conflict(Message::of('warm_ups.changed'));
            }
            $school->update(['warm_ups' => $list->json(), 'warm_ups_version' => $version + 1]);
            $this->school->get()->refresh();
            foreach (Group::pluck('id') as $group) {
                $this->replan->asked($group, 'cause.warm_ups');
            }
        });
    }
}
