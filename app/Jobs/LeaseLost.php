<?php

declare(strict_types=1);

namespace App\Jobs;

use RuntimeException;

/** Somebody else works on it by now, so what was worked out here is not written. */
final class LeaseLost extends RuntimeException
{
}
