<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\KeptLesson;
use Gorvan\Core\Lesson\Content\PartnerDrill;

/** A partner drill a class can do. */
final readonly class TonightPartner
{
    /**
     * @param  int  $position  of the entry it comes from
     * @param  bool  $isTonight  whether that is on tonight
     */
    public function __construct(public KeptLesson $lesson, public Course $course, public PartnerDrill $drill, public int $position, public bool $isTonight)
    {
    }
}
