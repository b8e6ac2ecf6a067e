<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/**
 * How often an entry is done, or for how long, kept together with the words it was stated in.
 *
 * `6` fixed, `7x7` nested (49), `L-R-L` alternating, `20 s` timed, `3 br` breaths, `until told` open. Anything else
 * is kept as it was written and gives no count (the forms issue adds ranges and splits).
 */
final readonly class Repetition
{
    /** @param  list<Side>  $sides in order, for an alternating repetition only */
    private function __construct(
        public string $stated,
        public RepetitionKind $kind,
        public ?int $times = null,
        public ?float $seconds = null,
        public array $sides = [],
    ) {
    }

    public static function parse(string $stated): self
    {
        $text = mb_strtolower(trim($stated));
        if (preg_match('/^(?:(\d{1,4})\s*[x×]?|[x×]\s*(\d{1,4}))$/u', $text, $m, PREG_UNMATCHED_AS_NULL) === 1) {
            return new self($stated, RepetitionKind::Fixed, (int) ($m[1] ?? $m[2]));
        }
        if (preg_match('/^(\d{1,3})\s*[x×]\s*(\d{1,3})$/u', $text, $m) === 1) {
            return new self($stated, RepetitionKind::Nested, (int) $m[1] * (int) $m[2]);
        }
        if (preg_match('/^[lr](?:\s*-\s*[lr])+$/', $text) === 1) {
            $sides = array_map(
                static fn (string $side): Side => trim($side) === 'l' ? Side::Left : Side::Right,
                explode('-', $text),
            );

            return new self($stated, RepetitionKind::Alternating, count($sides), null, $sides);
        }
        if (preg_match('/^(\d{1,5}(?:\.\d+)?)\s*(s|sec|secs|seconds|min|minutes)$/', $text, $m) === 1) {
            return new self($stated, RepetitionKind::Timed, 1, (float) $m[1] * (str_starts_with($m[2], 'min') ? 60 : 1));
        }
        if (preg_match('/^(\d{1,4})\s*(?:br|breath|breaths)$/', $text, $m) === 1) {
            return new self($stated, RepetitionKind::Breaths, (int) $m[1]);
        }
        if ($text === 'until told') {
            return new self($stated, RepetitionKind::UntilTold);
        }

        return new self($stated, RepetitionKind::Unread);
    }

    public function isUnderstood(): bool
    {
        return $this->kind !== RepetitionKind::Unread;
    }

    /** The side an alternating repetition ends on. */
    public function endingSide(): ?Side
    {
        return $this->sides === [] ? null : $this->sides[count($this->sides) - 1];
    }
}
