<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use Attribute;
use OpenApi\Attributes as OA;

/** A GET of the API. */
#[Attribute(Attribute::TARGET_METHOD)]
final class Reads extends OA\Get
{
    use ShortOperation;

    private const STATUS = 200;
}
