<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use Attribute;
use OpenApi\Attributes as OA;

/** A PUT of the API. */
#[Attribute(Attribute::TARGET_METHOD)]
final class Puts extends OA\Put
{
    use ShortOperation;

    private const STATUS = 200;
}
