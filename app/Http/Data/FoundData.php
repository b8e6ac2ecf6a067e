<?php

declare(strict_types=1);

namespace App\Http\Data;

/** What has a name: a few of each kind. */
final readonly class FoundData
{
    /**
     * @param  list<FoundStudent>  $students
     * @param  list<FoundMovement>  $movements
     * @param  list<FoundNamed>  $forms
     * @param  list<FoundNamed>  $groups
     * @param  list<FoundMeeting>  $meetings
     */
    public function __construct(
        public array $students,
        public array $movements,
        public array $forms,
        public array $groups,
        public array $meetings,
    ) {
    }
}
