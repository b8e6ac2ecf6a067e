<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Lesson\Content\BiteDifference;
use Gorvan\Core\Reading\Message;

/** What is different about an entry that is known from elsewhere in the form. */
final readonly class BiteDifferenceData
{
    /** @param  list<Message>  $differs */
    public function __construct(
        public int $like,
        public bool $isMirrored,
        public array $differs,
        public bool $isJoinNew,
        public ?int $before,
        public ?int $beforeThere,
    ) {
    }

    public static function of(BiteDifference $bite, Form $form): self
    {
        return new self($bite->like, $bite->isMirrored, $bite->differs, $bite->hasNewJoin($form), $bite->before, $bite->beforeThere);
    }
}
