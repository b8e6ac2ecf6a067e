<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/**
 * How often an entry is done, or for how long, kept together with the words it was stated in.
 *
 * `6` fixed, `7x7` nested (49), `L-R-L` alternating, `20 s` timed, `3 br` breaths, `until told` open. An amount may be
 * a range (`6-8`), approximate (`about 6`) or split (`8+2`), and count per side (`6 a side`) or in all (`6 in all`); one
 * of the repetitions may be said to differ (`6, the 4th ends differently`). Anything else is kept as it was written and
 * gives no count.
 */
final readonly class Repetition
{
    private const AMOUNT = '(?<about>about|approx\.?|roughly|ca\.?|~|≈)?\s*(?:[x×]\s*)?(?<least>\d{1,5}(?:\.\d+)?)(?:\s*(?:-|–|to)\s*(?<most>\d{1,5}(?:\.\d+)?))?';

    private const SIDES = '(?:\s*(?<per>(?:a|each|per|on each|on either)\s+side|in all|altogether))?';

    private const DIFFERS = '/^(?<rest>.+?)[,;]\s*(?:the\s+)?(?<nth>\d{1,3})(?:st|nd|rd|th)\s+(?:\w+\s+)?(?:differently|differs|different)$/u';

    /**
     * @param  int|null  $times  how often, per side where that is said; the middle of a range, halves up
     * @param  float|null  $seconds  of one hold
     * @param  list<Side>  $sides  in order, for an alternating repetition only
     * @param  array{float, float}|null  $range  the amount from and to, where a range was stated
     * @param  list<int>  $parts  of a split amount, `8+2`
     * @param  bool|null  $isPerSide  true per side, false in all, null where nothing is said
     * @param  int|null  $differing  which repetition is said to differ, from 1
     */
    private function __construct(
        public string $stated,
        public RepetitionKind $kind,
        public ?int $times = null,
        public ?float $seconds = null,
        public array $sides = [],
        public ?array $range = null,
        public bool $isAbout = false,
        public array $parts = [],
        public ?bool $isPerSide = null,
        public ?int $differing = null,
    ) {
    }

    public static function parse(string $stated): self
    {
        $text = mb_strtolower(trim($stated));
        $differing = null;
        if (preg_match(self::DIFFERS, $text, $m) === 1) {
            [$text, $differing] = [trim($m['rest']), (int) $m['nth']];
        }

        return self::counted($stated, $text, $differing)
            ?? self::lasting($stated, $text, $differing)
            ?? self::named($stated, $text, $differing)
            ?? new self($stated, RepetitionKind::Unread);
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

    /** How often on both sides together, or null where nothing is counted. */
    public function inAll(): ?int
    {
        return $this->times === null ? null : $this->times * ($this->isPerSide === true ? 2 : 1);
    }

    /** As the other side has it: L-R-L becomes R-L-R. Pure. */
    public function mirrored(): self
    {
        if ($this->kind !== RepetitionKind::Alternating) {
            return $this;
        }

        return self::parse((string) preg_replace_callback('/^\s*[lr](?:\s*-\s*[lr])+/i', static fn (array $sides): string => strtr($sides[0], 'LRlr', 'RLrl'), $this->stated));
    }

    private static function counted(string $stated, string $text, ?int $differing): ?self
    {
        if (preg_match('/^(\d{1,3})\s*[x×]\s*(\d{1,3})'.self::SIDES.'$/u', $text, $m) === 1) {
            return new self($stated, RepetitionKind::Nested, (int) $m[1] * (int) $m[2], isPerSide: self::perSide($m), differing: $differing);
        }
        if (preg_match('/^\d{1,3}(?:\s*\+\s*\d{1,3})+(?=$|\s)/', $text, $split) === 1
            && preg_match('/^'.preg_quote($split[0], '/').self::SIDES.'$/u', $text, $m) === 1) {
            $parts = array_map(intval(...), explode('+', $split[0]));

            return new self($stated, RepetitionKind::Fixed, array_sum($parts), parts: $parts, isPerSide: self::perSide($m), differing: $differing);
        }
        if (preg_match('/^'.self::AMOUNT.'\s*(?:[x×]|times)?'.self::SIDES.'$/u', $text, $m) !== 1 || str_contains($m['least'].($m['most'] ?? ''), '.')) {
            return null;
        }
        [$amount, $range] = self::amount($m);
        if ($amount > 9999.0) {
            return null;
        }

        return new self($stated, RepetitionKind::Fixed, (int) floor($amount + 0.5), range: $range, isAbout: $m['about'] !== '', isPerSide: self::perSide($m), differing: $differing);
    }

    private static function lasting(string $stated, string $text, ?int $differing): ?self
    {
        if (preg_match('/^'.self::AMOUNT.'\s*(?<unit>s|sec|secs|seconds|min|mins|minutes|br|breath|breaths)'.self::SIDES.'$/u', $text, $m) !== 1) {
            return null;
        }
        [$amount, $range] = self::amount($m);
        $perSide = self::perSide($m);
        $isAbout = $m['about'] !== '';
        if (str_starts_with($m['unit'], 'br')) {
            return $amount > 9999.0 || str_contains($m['least'], '.') ? null
                : new self($stated, RepetitionKind::Breaths, (int) floor($amount + 0.5), range: $range, isAbout: $isAbout, isPerSide: $perSide, differing: $differing);
        }

        return new self($stated, RepetitionKind::Timed, 1, $amount * (str_starts_with($m['unit'], 'min') ? 60 : 1), range: $range, isAbout: $isAbout, isPerSide: $perSide, differing: $differing);
    }

    private static function named(string $stated, string $text, ?int $differing): ?self
    {
        if (preg_match('/^[lr](?:\s*-\s*[lr])+$/', $text) === 1) {
            $sides = array_map(
                static fn (string $side): Side => trim($side) === 'l' ? Side::Left : Side::Right,
                explode('-', $text),
            );

            return new self($stated, RepetitionKind::Alternating, count($sides), sides: $sides, differing: $differing);
        }

        return $text === 'until told' ? new self($stated, RepetitionKind::UntilTold, differing: $differing) : null;
    }

    /**
     * @param  array<int|string, string>  $found
     * @return array{float, array{float, float}|null} the amount, and its range
     */
    private static function amount(array $found): array
    {
        $least = (float) $found['least'];
        $most = ($found['most'] ?? '') === '' ? $least : (float) $found['most'];

        return [($least + $most) / 2, $most === $least ? null : [min($least, $most), max($least, $most)]];
    }

    /** @param  array<int|string, string>  $found */
    private static function perSide(array $found): ?bool
    {
        return match (true) {
            ($found['per'] ?? '') === '' => null,
            str_ends_with($found['per'], 'side') => true,
            default => false,
        };
    }
}
