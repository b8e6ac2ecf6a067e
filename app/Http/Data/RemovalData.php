<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\Removal;
use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** What goes with something that is taken away, what stays, or why it cannot be taken away. */
#[OA\Schema]
final readonly class RemovalData
{
    /**
     * @param  list<Message>  $goes
     * @param  list<Message>  $stays
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $goes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $stays,
        #[OA\Property(ref: MessageData::class, nullable: true)]
        public ?Message $refused,
    ) {
    }

    public static function of(Removal $removal): self
    {
        return new self($removal->goes, $removal->stays, $removal->refused);
    }
}
