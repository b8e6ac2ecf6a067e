<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** How the passage of a showing should stand on its day: over all its entries, taught or not. */
final readonly class ShowingForecast implements Written
{
    /**
     * @param  int  $leastAt  position of the entry that is remembered least, and `least` its mean recall
     * @param  int  $day  of the showing
     */
    public function __construct(public float $mean, public float $least, public int $leastAt, public int $day)
    {
    }

    public function holds(): bool
    {
        return $this->mean >= CourseForecast::HOLD_RECALL && $this->least >= CourseForecast::LEAST_RECALL;
    }

    /**
     * @param  int  $day  of the course's forecast, which was the showing's where a file does not say it
     *
     * @throws \Gorvan\Core\Reading\BadInput
     */
    public static function read(JsonNode $node, int $day): self
    {
        $on = $node->optional('on');

        return new self($node->required('mean')->number(0, 1), $node->required('least')->number(0, 1), $node->required('least_at')->whole(1, 600), $on === null ? $day : Day::number(Instant::day($on)));
    }

    public function toData(): stdClass
    {
        return Fields::written(['on' => Day::text($this->day), 'mean' => $this->mean, 'least' => $this->least, 'least_at' => $this->leastAt]);
    }
}
