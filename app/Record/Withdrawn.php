<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\CurrentSchool;
use App\Models\Withdrawal;
use Illuminate\Support\Facades\DB;

/** Keeps the list of what does not stand in step with the withdrawals it is worked out from. */
final class Withdrawn
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    public function has(string $id): bool
    {
        return DB::table('withdrawn')->where(['school_id' => $this->school->id(), 'id' => $id])->exists();
    }

    /** Works out anew whether something stands: it does not while a withdrawal of it stands. What it withdraws follows. */
    public function settle(string $id): void
    {
        $key = ['school_id' => $this->school->id(), 'id' => $id];
        $isGone = Withdrawal::where('of', $id)->whereNotExists(static fn ($gone) => $gone->from('withdrawn')
            ->whereColumn('withdrawn.school_id', 'withdrawals.school_id')->whereColumn('withdrawn.id', 'withdrawals.id'))->exists();
        if ($isGone === $this->has($id)) {
            return;
        }
        $isGone ? DB::table('withdrawn')->insert($key) : DB::table('withdrawn')->where($key)->delete();
        $of = Withdrawal::find($id)?->of;
        if ($of !== null) {
            $this->settle($of);
        }
    }
}
