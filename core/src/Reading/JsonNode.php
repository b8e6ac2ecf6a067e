<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

use Gorvan\Core\Reading\Internal\JsonFault;
use stdClass;

/**
 * One place in a JSON document: its value, and the path that leads to it, so that every error can name the place.
 *
 * Immutable. Reading a value of another type than asked for throws {@see BadInput} with the path.
 */
final readonly class JsonNode
{
    /** Deeper nesting than this is refused; no format of ours needs more than five. */
    public const MAX_DEPTH = 32;

    private function __construct(public mixed $value, public string $path)
    {
    }

    /**
     * Parses a document (RFC 8259, UTF-8, a byte-order mark is accepted).
     *
     * @throws BadInput with the line when the text is not JSON, or is nested too deeply
     */
    public static function parse(string $text): self
    {
        $text = self::withoutByteOrderMark($text);
        if (trim($text) === '') {
            throw BadInput::whole('the file is empty');
        }
        if (preg_match('//u', $text) !== 1) {
            throw BadInput::atLine(self::firstBadLine($text), 'this line is not UTF-8 text; save the file as UTF-8');
        }
        $value = json_decode($text, false, self::MAX_DEPTH);
        if (json_last_error() === JSON_ERROR_INVALID_PROPERTY_NAME) {
            throw BadInput::whole('a key begins with a NUL character; take it out');
        }
        if (json_last_error() === JSON_ERROR_DEPTH) {
            throw BadInput::whole('nested more than '.self::MAX_DEPTH.' levels deep');
        }
        if (json_last_error() !== JSON_ERROR_NONE) {
            throw BadInput::atLine(JsonFault::line($text), 'is not JSON from here on; look for a missing comma, quote or bracket');
        }

        return new self($value, '$');
    }

    public static function of(mixed $value, string $path = '$'): self
    {
        return new self($value, $path);
    }

    public static function withoutByteOrderMark(string $text): string
    {
        return str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
    }

    /** The member of an object, or null when it is absent or null. */
    public function optional(string $key): ?self
    {
        $value = $this->object()->{$key} ?? null;

        return $value === null ? null : new self($value, $this->path.self::step($key));
    }

    /** @throws BadInput when the member is missing or null */
    public function required(string $key): self
    {
        return $this->optional($key) ?? throw BadInput::at($this->path, "\"$key\" is missing");
    }

    /** @throws BadInput when this is not an object */
    public function object(): stdClass
    {
        return $this->value instanceof stdClass ? $this->value : throw $this->wrong('an object');
    }

    /**
     * @return list<self>
     *
     * @throws BadInput when this is not a list
     */
    public function items(): array
    {
        if (! is_array($this->value)) {
            throw $this->wrong('a list');
        }
        $items = [];
        foreach (array_values($this->value) as $at => $value) {
            $items[] = new self($value, "{$this->path}[$at]");
        }

        return $items;
    }

    /** @throws BadInput when this is not a string, is blank, holds a NUL character, or is longer than allowed */
    public function text(int $longest = 300): string
    {
        if (! is_string($this->value)) {
            throw $this->wrong('a text');
        }
        if (trim($this->value) === '') {
            throw $this->error('must not be blank');
        }
        if (str_contains($this->value, "\0")) {
            throw $this->error('must not hold a NUL character');
        }
        if (mb_strlen($this->value) > $longest) {
            throw $this->error("is longer than $longest characters");
        }

        return $this->value;
    }

    /** A whole number; `2.0` means the same as `2`. @throws BadInput */
    public function whole(int $least, int $most): int
    {
        $value = $this->value;
        if (is_float($value) && floor($value) === $value && abs($value) < 1e15) {
            $value = (int) $value;
        }
        if (! is_int($value)) {
            throw $this->wrong('a whole number');
        }
        if ($value < $least || $value > $most) {
            throw $this->error("must be between $least and $most, not $value");
        }

        return $value;
    }

    /** @throws BadInput when this is not a number between the bounds */
    public function number(float $least, float $most): float
    {
        if (! is_int($this->value) && ! is_float($this->value)) {
            throw $this->wrong('a number');
        }
        if ($this->value < $least || $this->value > $most) {
            throw $this->error(sprintf('must be between %s and %s, not %s', $least, $most, $this->value));
        }

        return (float) $this->value;
    }

    /**
     * A list of two numbers.
     *
     * @return array{float, float}
     *
     * @throws BadInput
     */
    public function pair(float $least, float $most): array
    {
        $items = $this->items();
        if (count($items) !== 2) {
            throw $this->error('must be a list of two numbers');
        }

        return [$items[0]->number($least, $most), $items[1]->number($least, $most)];
    }

    /** @throws BadInput when this is neither true nor false */
    public function bool(): bool
    {
        return is_bool($this->value) ? $this->value : throw $this->wrong('true or false');
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     *
     * @throws BadInput when the text is none of the enum's values
     */
    public function oneOf(string $enum): \BackedEnum
    {
        $found = is_string($this->value) ? $enum::tryFrom($this->value) : null;
        if ($found === null) {
            $names = implode(', ', array_map(static fn (\BackedEnum $case): string => (string) $case->value, $enum::cases()));
            throw $this->error("must be one of $names, not ".self::describe($this->value));
        }

        return $found;
    }

    /**
     * The members whose keys are not known to this format, kept so that they can be written out again.
     *
     * @param  list<string>  $known
     * @return array<string, mixed>
     */
    public function others(array $known): array
    {
        $others = [];
        foreach (get_object_vars($this->object()) as $key => $value) {
            if (! in_array((string) $key, $known, true)) {
                $others[(string) $key] = $value;
            }
        }

        return $others;
    }

    /**
     * Says which members are not known to this format, and what becomes of them.
     *
     * @param  list<string>  $known
     * @return list<string>
     */
    public function unknown(array $known, string $fate = 'is not known here and changes nothing'): array
    {
        return array_map(
            fn (int|string $key): string => "$this->path: \"$key\" $fate",
            array_keys($this->others($known)),
        );
    }

    public function error(string $reason): BadInput
    {
        return BadInput::at($this->path, $reason);
    }

    private function wrong(string $wanted): BadInput
    {
        return $this->error("must be $wanted, not ".self::describe($this->value));
    }

    private static function describe(mixed $value): string
    {
        return match (true) {
            $value === null => 'null',
            is_bool($value) => $value ? 'true' : 'false',
            is_string($value) => '"'.mb_strimwidth($value, 0, 40, '…').'"',
            is_int($value), is_float($value) => (string) $value,
            is_array($value) => 'a list',
            default => 'an object',
        };
    }

    private static function step(string $key): string
    {
        return preg_match('/^[A-Za-z_][A-Za-z0-9_]*$/', $key) === 1 ? ".$key" : "['$key']";
    }

    private static function firstBadLine(string $text): int
    {
        foreach (explode("\n", $text) as $at => $line) {
            if (preg_match('//u', $line) !== 1) {
                return $at + 1;
            }
        }

        return 1;
    }
}
