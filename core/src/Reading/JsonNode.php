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
            throw Unreadable::empty();
        }
        if (Unreadable::isUtf16($text)) {
            throw Unreadable::utf16();
        }
        if (preg_match('//u', $text) !== 1) {
            throw Unreadable::notUtf8(self::firstBadLine($text));
        }
        $value = json_decode($text, false, self::MAX_DEPTH);
        if (json_last_error() === JSON_ERROR_INVALID_PROPERTY_NAME) {
            throw Unreadable::keyBeginsWithNul();
        }
        if (json_last_error() === JSON_ERROR_DEPTH) {
            throw Unreadable::tooDeep(self::MAX_DEPTH);
        }
        if (json_last_error() !== JSON_ERROR_NONE) {
            throw Unreadable::notJson(JsonFault::line($text));
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
        return $this->optional($key) ?? throw Missing::key($this->path, $key);
    }

    /** @throws BadInput when this is not an object */
    public function object(): stdClass
    {
        return $this->value instanceof stdClass ? $this->value : throw WrongType::wanted($this->path, 'object', $this->value);
    }

    /**
     * @return list<self>
     *
     * @throws BadInput when this is not a list
     */
    public function items(): array
    {
        if (! is_array($this->value)) {
            throw WrongType::wanted($this->path, 'list', $this->value);
        }
        $items = [];
        foreach (array_values($this->value) as $at => $value) {
            $items[] = new self($value, "{$this->path}[$at]");
        }

        return $items;
    }

    /**
     * @return list<self>
     *
     * @throws BadInput when this is not a list, or a longer one
     */
    public function itemsAtMost(int $most): array
    {
        $items = $this->items();

        return count($items) > $most ? throw TooMany::items($this->path, 'items', $most) : $items;
    }

    /** @throws BadInput when this is not a string, is blank, holds a NUL character, or is longer than allowed */
    public function text(int $longest = 300): string
    {
        if (! is_string($this->value)) {
            throw WrongType::wanted($this->path, 'text', $this->value);
        }
        if (trim($this->value) === '') {
            throw Missing::text($this->path);
        }
        if (str_contains($this->value, "\0")) {
            throw Malformed::nul($this->path);
        }
        if (mb_strlen($this->value) > $longest) {
            throw OutOfRange::tooLong($this->path, $longest);
        }

        return $this->value;
    }

    /**
     * A list of texts, each as {@see text()} reads it: of what is long and plain, as the people of a class are, no node is made.
     *
     * @return list<string>
     *
     * @throws BadInput when this is not a list, a longer one, or one of it is no such text
     */
    public function texts(int $most, int $longest = 300): array
    {
        if (! is_array($this->value) || count($this->value) > $most) {
            $this->itemsAtMost($most);
        }
        $texts = [];
        foreach (array_values((array) $this->value) as $at => $value) {
            $isPlain = is_string($value) && strlen($value) <= $longest && ! str_contains($value, "\0") && trim($value) !== '';
            $texts[] = $isPlain ? $value : (new self($value, "{$this->path}[$at]"))->text($longest);
        }

        return $texts;
    }

    /** A whole number; `2.0` means the same as `2`. @throws BadInput */
    public function whole(int $least, int $most): int
    {
        $value = $this->value;
        if (is_float($value) && floor($value) === $value && abs($value) < 1e15) {
            $value = (int) $value;
        }
        if (! is_int($value)) {
            throw WrongType::wanted($this->path, 'whole', $this->value);
        }
        if ($value < $least || $value > $most) {
            throw OutOfRange::between($this->path, $least, $most, $value);
        }

        return $value;
    }

    /** @throws BadInput when this is not a number between the bounds */
    public function number(float $least, float $most): float
    {
        if (! is_int($this->value) && ! is_float($this->value)) {
            throw WrongType::wanted($this->path, 'number', $this->value);
        }
        if ($this->value < $least || $this->value > $most) {
            throw OutOfRange::between($this->path, $least, $most, $this->value);
        }

        return (float) $this->value + 0.0; // -0.0 is 0
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
            throw WrongType::wanted($this->path, 'pair', $this->value);
        }

        return [$items[0]->number($least, $most), $items[1]->number($least, $most)];
    }

    /** @throws BadInput when this is neither true nor false */
    public function bool(): bool
    {
        return is_bool($this->value) ? $this->value : throw WrongType::wanted($this->path, 'truth', $this->value);
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
            throw NotAllowed::wanted($this->path, array_map(static fn (\BackedEnum $case): string => (string) $case->value, $enum::cases()), $this->value);
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
     * @param  string|null  $format  that keeps them and writes them out again; null where they change nothing
     * @return list<Message>
     */
    public function unknown(array $known, ?string $format = null): array
    {
        return array_map(
            fn (int|string $key): Message => $format === null
                ? Message::of('reading.unknown', path: $this->path, key: (string) $key)
                : Message::of('reading.kept', path: $this->path, key: (string) $key, format: $format),
            array_keys($this->others($known)),
        );
    }

    private static function step(string $key): string
    {
        // The keys that are asked for are those of our formats, and come again with every entry and every log.
        /** @var array<string, string> $steps */
        static $steps = [];

        return $steps[$key] ??= preg_match('/^[A-Za-z_][A-Za-z0-9_]*$/', $key) === 1 ? ".$key" : "['$key']";
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
