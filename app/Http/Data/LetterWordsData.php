<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\School;
use OpenApi\Attributes as OA;

/** The words a school writes its letters in. */
#[OA\Schema]
final readonly class LetterWordsData
{
    /**
     * @param  object  $words  sentences by what they say; those that are not in it are the usual ones
     * @param  bool  $hasNumbers  whether letters give numbers
     */
    public function __construct(
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public object $words,
        #[OA\Property]
        public bool $hasNumbers, )
    {
    }

    public static function of(School $school): self
    {
        $kept = $school->letter_words === null ? null : json_decode($school->letter_words, flags: JSON_THROW_ON_ERROR);

        return new self($kept->words ?? (object) [], $kept->numbers ?? false);
    }
}
