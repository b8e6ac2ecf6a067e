<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** How the passage of a showing should stand on its day: over all its entries, taught or not. */
final readonly class ShowingForecast implements Written
{
    /** @param  int  $leastAt  position of the entry that is remembered least, and `least` its mean recall */
    public function __construct(public float $mean, public float $least, public int $leastAt)
    {
    }

    public function holds(): bool
    {
        return $this->mean >= CourseForecast::HOLD_RECALL && $this->least >= CourseForecast::LEAST_RECALL;
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        return new self($node->required('mean')->number(0, 1), $node->required('least')->number(0, 1), $node->required('least_at')->whole(1, 600));
    }

    public function toData(): stdClass
    {
        return Fields::written(['mean' => $this->mean, 'least' => $this->least, 'least_at' => $this->leastAt]);
    }
}
