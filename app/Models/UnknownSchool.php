<?php

declare(strict_types=1);

namespace App\Models;

use RuntimeException;

/** There is no school of this id, or no longer. */
final class UnknownSchool extends RuntimeException
{
}
