<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Contradiction;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** Something of one student's body, from a day on, until a day or lasting. Private (engine 12 and 15). */
final readonly class StudentConsideration implements Written
{
    public const KEYS = ['what', 'side', 'since', 'until', 'note'];

    /**
     * @param  string|null  $since  day `Y-m-d`; null where it was always so
     * @param  string|null  $until  the last day of it; null where it lasts
     */
    public function __construct(public Consideration $what, public ?BodySide $side = null, public ?string $since = null, public ?string $until = null, public ?string $note = null)
    {
    }

    /** @throws BadInput with the JSON path: also where it ends before it began */
    public static function read(JsonNode $node): self
    {
        $day = static fn (string $key): ?string => $node->optional($key) === null ? null : Instant::day($node->required($key));
        $what = $node->required('what')->oneOf(Consideration::class);
        [$since, $until] = [$day('since'), $day('until')];
        if ($since !== null && $until !== null && $until < $since) {
            throw Contradiction::endsBeforeItStarts($node->required('until')->path, 'consideration', $since, $until);
        }

        return new self($what, $what->hasSides() ? $node->optional('side')?->oneOf(BodySide::class) : null, $since, $until, $node->optional('note')?->text(Fields::LONG));
    }

    public function toData(): stdClass
    {
        return Fields::written(['what' => $this->what->value, 'side' => $this->side?->value, 'since' => $this->since, 'until' => $this->until, 'note' => $this->note]);
    }

    /** @param  string  $day  `Y-m-d` */
    public function holdsOn(string $day): bool
    {
        return ($this->since === null || $this->since <= $day) && ($this->until === null || $day <= $this->until);
    }
}
