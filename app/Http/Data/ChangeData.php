<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\PlanChange;
use DateTimeZone;
use Gorvan\Core\Reading\Message;

/** What was changed of a term, when, because of what, by whom, and what that moved. */
final readonly class ChangeData
{
    /**
     * @param  list<Message>  $moved
     */
    public function __construct(
        public string $id,
        public string $at,
        public Message $cause,
        public ?string $by,
        public array $moved,
        public bool $canBeTakenBack,
    ) {
    }

    /** @param  array<string, string>  $names  of users, by id */
    public static function of(PlanChange $change, array $names, DateTimeZone $zone): self
    {
        return new self($change->id, $change->at->setTimezone($zone)->toRfc3339String(), $change->because(), $change->made_by === null ? null : $names[$change->made_by] ?? null, $change->moved(), $change->before !== null && ! $change->is_taken_back);
    }
}
