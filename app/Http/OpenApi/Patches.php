<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use Attribute;
use OpenApi\Attributes as OA;

/** A PATCH of the API. */
#[Attribute(Attribute::TARGET_METHOD)]
final class Patches extends OA\Patch
{
    use ShortOperation;

    private const STATUS = 204;
}
