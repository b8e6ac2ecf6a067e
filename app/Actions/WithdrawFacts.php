<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Mark;
use App\Models\Meeting;
use App\Models\User;
use App\Models\Withdrawal;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Facades\DB;

/** Takes marks, logs or withdrawals back by appending a withdrawal; the record keeps both. */
final class WithdrawFacts
{
    public function __construct(private readonly PlanTerm $plan)
    {
    }

    /** @param  list<array{id: string, of: string, at: DateTimeImmutable}>  $withdrawals */
    public function __invoke(array $withdrawals, User $by): void
    {
        DB::transaction(function () use ($withdrawals, $by): void {
            foreach ($withdrawals as $at => $withdrawal) {
                $this->append($withdrawal, $at, $by);
            }
        });
    }

    /** @param  array{id: string, of: string, at: DateTimeImmutable}  $withdrawal */
    private function append(array $withdrawal, int $at, User $by): void
    {
        $known = Withdrawal::find($withdrawal['id']);
        if ($known !== null && $known->of !== $withdrawal['of']) {
            throw Refused::conflict('This take-back has an id that was used for another one. Nothing was changed.', "withdrawals.$at.id");
        }
        if ($known !== null) {
            return;
        }
        $logged = Meeting::where('log_id', $withdrawal['of'])->first();
        if ($logged === null && ! Mark::whereKey($withdrawal['of'])->exists() && ! $this->isMarkWithdrawal($withdrawal['of'])) {
            throw Refused::because('What you want to take back is not in the record.', "withdrawals.$at.of");
        }
        Withdrawal::create([
            'id' => $withdrawal['id'],
            'of' => $withdrawal['of'],
            'at' => $withdrawal['at']->setTimezone(new DateTimeZone('UTC')),
            'made_by' => $by->id,
        ]);
        if ($logged !== null) {
            $logged->update(['log_id' => null]);
            ($this->plan)($logged->term);
        }
    }

    /** A log that was taken back is logged again, not revived; a mark can be revived by withdrawing its withdrawal. */
    private function isMarkWithdrawal(string $id): bool
    {
        $of = Withdrawal::find($id)?->of;

        return $of !== null && (Mark::whereKey($of)->exists() || $this->isMarkWithdrawal($of));
    }
}
