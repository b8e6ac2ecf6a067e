<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;

/** The meetings a term would have. */
final readonly class DatesData
{
    /**
     * @param  list<DateData>  $meetings
     * @param  list<Message>  $warnings
     * @param  int|null  $lessonsTaken  left of the form’s own lessons as they are; null where it has none
     * @param  int  $lessonsCut  left if the form is cut to this class
     */
    public function __construct(
        public array $meetings,
        public array $warnings,
        public int $lessons,
        public ?int $lessonsTaken,
        public int $lessonsCut,
    ) {
    }
}
