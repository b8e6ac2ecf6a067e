<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\PlanChange;
use DateTimeZone;
use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** What was changed of a term, when, because of what, by whom, and what that moved. */
#[OA\Schema]
final readonly class ChangeData
{
    /**
     * @param  list<Message>  $moved
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $at,
        #[OA\Property(ref: MessageData::class)]
        public Message $cause,
        #[OA\Property]
        public ?string $by,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $moved,
        #[OA\Property]
        public bool $canBeTakenBack,
    ) {
    }

    /** @param  array<string, string>  $names  of users, by id */
    public static function of(PlanChange $change, array $names, DateTimeZone $zone): self
    {
        return new self($change->id, $change->at->setTimezone($zone)->toRfc3339String(), $change->because(), $change->made_by === null ? null : $names[$change->made_by] ?? null, $change->moved(), $change->before !== null && ! $change->is_taken_back);
    }
}
