<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\JoinedForm;
use App\Models\Mark;
use App\Models\Principle;
use App\Models\PrincipleSet;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Takes a set of principles back, as long as nobody works with it and nothing of it is on record. */
final class RemovePrinciples
{
    public function __invoke(PrincipleSet $set): void
    {
        $this->would($set)->orRefuse();
        $set->delete();
    }

    public function would(PrincipleSet $set): Removal
    {
        $groups = Group::where('principle_set_id', $set->id)->orderBy('name')->pluck('name');
        if ($groups->isNotEmpty()) {
            return Removal::refused(Message::of('principles.used_by', groups: array_values($groups->all())));
        }
        $ids = Principle::where('set_id', $set->id)->pluck('id');
        $isLogged = DB::table('class_logs')->where('school_id', $set->school_id)->where(static function ($any) use ($ids): void {
            foreach ($ids as $id) {
                $any->orWhereRaw('body::text like ?', ["%$id%"]);
            }
        });
        if (Mark::whereIn('principle_id', $ids)->exists() || ($ids->isNotEmpty() && $isLogged->exists())) {
            return Removal::refused(Message::of('principles.on_record'));
        }

        return Removal::takes(['principles' => $ids->count(), 'joins_forms' => JoinedForm::where('set_id', $set->id)->count()]);
    }
}
