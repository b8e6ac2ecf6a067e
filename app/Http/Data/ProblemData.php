<?php

declare(strict_types=1);

namespace App\Http\Data;

use ArrayObject;
use Gorvan\Core\Reading\Message;

/** What went wrong, and where. */
final readonly class ProblemData
{
    /**
     * @param  ArrayObject<string, mixed>  $with
     * @param  list<Message>  $problems  all that is wrong, where it is more than one thing
     * @param  list<KnownNameData>  $known  names that are there already
     * @param  ArrayObject<string, list<Message>>  $fields  what is wrong with each field
     */
    public function __construct(
        public string $code,
        public ArrayObject $with,
        public string $place,
        public array $problems,
        public array $known,
        public ArrayObject $fields,
    ) {
    }
}
