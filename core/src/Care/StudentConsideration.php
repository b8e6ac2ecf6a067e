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

    /**
     * One that can be: a side where what it is has two, and no end before it began.
     *
     * @param  string  $place  of its end, for what is wrong with it
     *
     * @throws BadInput
     */
    public static function of(Consideration $what, ?BodySide $side, ?string $since, ?string $until, ?string $note, string $place = 'until'): self
    {
        if ($since !== null && $until !== null && $until < $since) {
            throw Contradiction::endsBeforeItStarts($place, 'consideration', $since, $until);
        }

        return new self($what, $what->hasSides() ? $side : null, $since, $until, $note);
    }

    /** @throws BadInput with the JSON path: also where it ends before it began */
    public static function read(JsonNode $node): self
    {
        $day = static fn (string $key): ?string => $node->optional($key) === null ? null : Instant::day($node->required($key));
        $what = $node->required('what')->oneOf(Consideration::class);

        return self::of($what, $what->hasSides() ? $node->optional('side')?->oneOf(BodySide::class) : null, $day('since'), $day('until'), $node->optional('note')?->text(Fields::LONG), "$node->path.until");
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
