<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use Attribute;
use OpenApi\Attributes as OA;

/** A POST of the API. */
#[Attribute(Attribute::TARGET_METHOD)]
final class Makes extends OA\Post
{
    use ShortOperation;

    private const STATUS = 200;
}
