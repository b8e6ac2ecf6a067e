<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\Removal;
use Gorvan\Core\Reading\Message;

/** What goes with something that is taken away, what stays, or why it cannot be taken away. */
final readonly class RemovalData
{
    /**
     * @param  list<Message>  $goes
     * @param  list<Message>  $stays
     */
    public function __construct(
        public array $goes,
        public array $stays,
        public ?Message $refused,
    ) {
    }

    public static function of(Removal $removal): self
    {
        return new self($removal->goes, $removal->stays, $removal->refused);
    }
}
