<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Shared\Sent\Each;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** A group as it is asked for. */
final readonly class NewGroup implements Sent
{
    /**
     * @param  list<string>  $students  their names
     * @param  array<string, string>  $same  who of the school is meant, by name
     * @param  list<string>  $others  names that are somebody else's too
     */
    public function __construct(
        #[Rules('max:120')]
        public string $name,
        #[Rules('uuid')]
        public string $form,
        #[Rules('max:{limits.students}')]
        #[Each('required', 'max:120')]
        public array $students,
        #[Rules('max:120')]
        public ?string $room = null,
        #[Rules('max:{limits.students}')]
        #[Each('required', 'uuid')]
        public array $same = [],
        #[Rules('max:{limits.students}')]
        #[Each('required', 'max:120')]
        public array $others = [],
    ) {
    }
}
