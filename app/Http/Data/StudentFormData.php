<?php

declare(strict_types=1);

namespace App\Http\Data;

/** Where a student stands in a form. */
final readonly class StudentFormData
{
    /**
     * @param  list<FadingData>  $fading  what holds now and will not much longer, the soonest first
     * @param  list<CatchUpData>  $catchUp  the most needed first
     * @param  int  $catchUpMinutes  of all of it
     * @param  list<int>  $taught  positions given to the group
     */
    public function __construct(
        public string $group,
        public FormRefData $form,
        public StudentData $standing,
        public array $taught,
        public array $fading,
        public array $catchUp,
        public int $catchUpMinutes,
    ) {
    }
}
