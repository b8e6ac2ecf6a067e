<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\File;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Kinship;

/** A form as a reader understood it, with what the reader inferred and what it could not make out. */
final readonly class ReadForm
{
    /**
     * @param  list<Kinship>  $inferred  relations the reader supposed and the teacher should confirm
     * @param  list<\Gorvan\Core\Reading\Message>  $warnings
     * @param  list<string>|null  $carries  the fields of an entry that the file speaks of, null for all of them
     * @param  bool  $hasIds  whether the ids are the file's own, and not made while reading
     * @param  list<int>  $lines  the line each entry stands on, empty where that is not known
     * @param  list<string>  $made  ids that were made for rows without one, in a file that has ids
     */
    public function __construct(
        public Form $form,
        public array $inferred = [],
        public array $warnings = [],
        public ?array $carries = null,
        public bool $hasIds = true,
        public array $lines = [],
        public array $made = [],
    ) {
    }
}
