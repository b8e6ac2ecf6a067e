<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\KeptLesson;
use Gorvan\Core\Lesson\Content\WrittenLesson;

/** A lesson of a cut with what is written for it; or one that is written and has no place in the cut any more. */
final readonly class LessonInCut
{
    /**
     * @param  int|null  $number  in the cut
     * @param  list<string>  $entries  ids
     */
    public function __construct(public ?int $number, public ?float $load, public array $entries, public ?WrittenLesson $written, public ?KeptLesson $row)
    {
    }
}
