<?php

declare(strict_types=1);

namespace App\Policies;

/** {@inheritDoc} */
final class FormPolicy extends OwnRows
{
}
