<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use Attribute;
use OpenApi\Attributes as OA;

/** A DELETE of the API. */
#[Attribute(Attribute::TARGET_METHOD)]
final class Removes extends OA\Delete
{
    use ShortOperation;

    private const STATUS = 204;
}
