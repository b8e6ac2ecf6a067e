<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Lesson\Content\BiteDifference;
use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** What is different about an entry that is known from elsewhere in the form. */
#[OA\Schema]
final readonly class BiteDifferenceData
{
    /** @param  list<Message>  $differs */
    public function __construct(
        #[OA\Property]
        public int $like,
        #[OA\Property]
        public bool $isMirrored,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $differs,
        #[OA\Property]
        public bool $isJoinNew,
        #[OA\Property]
        public ?int $before,
        #[OA\Property]
        public ?int $beforeThere,
    ) {
    }

    public static function of(BiteDifference $bite, Form $form): self
    {
        return new self($bite->like, $bite->isMirrored, $bite->differs, $bite->hasNewJoin($form), $bite->before, $bite->beforeThere);
    }
}
