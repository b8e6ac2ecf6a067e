<?php

declare(strict_types=1);

namespace App\Principles\Requests;

use App\Models\Group;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Principle\FocusChooser;

/** The set of a group, and how many principles a week has. */
final readonly class ChosenPrinciples implements Sent
{
    public function __construct(
        #[Rules('uuid')]
        public ?string $set,
        #[Rules('min:'.Group::WHOLE_FAMILY, 'max:'.FocusChooser::MOST)]
        public int $focuses,
    ) {
    }
}
