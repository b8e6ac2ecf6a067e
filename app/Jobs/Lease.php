<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\CurrentSchool;
use App\Models\School;
use Illuminate\Support\Facades\DB;

/**
 * The right to work on something, held by one at a time. It ends by itself soon after whoever holds it stopped renewing it, and
 * carries a number that grows with every holder: what one has worked out is written only while the number is still theirs.
 * Time is the database's alone; an end further ahead than one can be is none.
 */
final class Lease
{
    /** How long it is held without being renewed; seconds. */
    public const SECONDS = 20;

    /** How often it is renewed at most; seconds. */
    private const RENEWED = 5;

    /** So often the same is begun: what ended every worker that began it is not begun for ever. */
    public const MOST_BEGUN = 3;

    private float $renewed;

    private function __construct(private readonly CurrentSchool $current, private readonly School $school, private readonly string $of, public readonly int $number, public readonly int $begun)
    {
        $this->renewed = microtime(true);
    }

    /** Inside a school; null while somebody else holds it. */
    public static function take(CurrentSchool $current, string $of): ?self
    {
        $row = DB::selectOne(<<<'SQL'
            insert into leases (school_id, id, number, begun, until) values (?, ?, nextval('lease_numbers'), 1, clock_timestamp() + make_interval(secs => ?))
            on conflict (school_id, id) do update set number = excluded.number, begun = leases.begun + 1, until = excluded.until
            where leases.until < clock_timestamp() or leases.until > excluded.until
            returning number, begun
            SQL, [$current->id(), $of, self::SECONDS]);

        return $row === null ? null : new self($current, $current->get(), $of, (int) $row->number, (int) $row->begun);
    }

    /**
     * Called while something is worked out, as often as one likes, outside any transaction.
     *
     * @throws LeaseLost
     */
    public function renew(): void
    {
        if (microtime(true) - $this->renewed >= self::RENEWED) {
            $this->current->during($this->school, fn () => $this->isMine('update leases set until = clock_timestamp() + make_interval(secs => '.self::SECONDS.')'));
            $this->renewed = microtime(true);
        }
    }

    /**
     * Ends it, in the transaction that writes what was worked out.
     *
     * @throws LeaseLost and then nothing is written
     */
    public function end(): void
    {
        $this->isMine('delete from leases');
    }

    /** What went wrong may be begun again at once, as often as before. */
    public function giveUp(): void
    {
        $this->current->during($this->school, fn () => DB::update('update leases set until = clock_timestamp() where school_id = ? and id = ? and number = ?', [$this->school->id, $this->of, $this->number]));
    }

    private function isMine(string $statement): void
    {
        if (DB::affectingStatement("$statement where school_id = ? and id = ? and number = ?", [$this->school->id, $this->of, $this->number]) === 0) {
            throw new LeaseLost;
        }
    }
}
