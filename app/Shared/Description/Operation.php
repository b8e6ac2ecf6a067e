<?php

declare(strict_types=1);

namespace App\Shared\Description;

use Attribute;

/** What a request asks, and what is answered; the rest stands with its route, and in what its method takes. */
#[Attribute(Attribute::TARGET_METHOD)]
final readonly class Operation
{
    /**
     * @param  string  $says  what is answered, or done
     * @param  class-string|array{class-string}|null  $answers  a list where it stands in brackets; null for nothing, or a file
     * @param  bool  $mayConflict  with what somebody else has done since
     * @param  class-string|null  $takes  the body, where core reads it itself
     * @param  int|null  $status  where all is well: that of what is answered, or of nothing, unless said
     */
    public function __construct(
        public string $id,
        public string $says,
        public string|array|null $answers = null,
        public ?int $status = null,
        public bool $mayConflict = false,
        public ?string $takes = null,
    ) {
    }
}
