<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\School;
use ArrayObject;

/** The words a school writes its letters in. */
final readonly class LetterWordsData
{
    /**
     * @param  ArrayObject<string, string>  $words  sentences by what they say; those that are not in it are the usual ones
     * @param  bool  $hasNumbers  whether letters give numbers
     */
    public function __construct(
        public ArrayObject $words,
        public bool $hasNumbers,
    ) {
    }

    public static function of(School $school): self
    {
        $kept = $school->letter_words === null ? null : json_decode($school->letter_words, flags: JSON_THROW_ON_ERROR);

        return new self(new ArrayObject((array) ($kept->words ?? [])), $kept->numbers ?? false);
    }
}
