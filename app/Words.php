<?php

declare(strict_types=1);

namespace App;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Message;
use LogicException;
use MessageFormatter;

/**
 * The words of what core and the application say by code, from the message catalogue that the pages read too
 * (resources/js/messages). For the shell, and for whoever has no page.
 */
final class Words
{
    /** @var array<string, string>|null sentences by code */
    private static ?array $sentences = null;

    private const LANGUAGE = 'en';

    /** What is said on the pages that open first, and the rest. */
    private const SAID = ['first/told.json', 'told.json'];

    /** @return array<string, string> every sentence by its code; a code with a singular and a plural ends in `_one` and `_other` */
    public static function all(): array
    {
        return self::$sentences ??= array_merge(...array_map(self::read(...), self::SAID));
    }

    /** @return array<string, string> */
    private static function read(string $file): array
    {
        return self::flat(json_decode((string) file_get_contents(dirname(__DIR__).'/resources/js/messages/'.self::LANGUAGE.'/'.$file), true, 8, JSON_THROW_ON_ERROR));
    }

    public static function has(string $code): bool
    {
        return isset(self::all()[$code]) || isset(self::all()[$code.'_other']);
    }

    public static function of(Message $message): string
    {
        $words = array_map(self::value(...), $message->with);

        return (string) preg_replace_callback(
            '/\{\{(\w+)\}\}/',
            static fn (array $found): string => $words[$found[1]] ?? throw new LogicException("$message->code says nothing of $found[1]"),
            self::sentence($message->code, $message->with['count'] ?? null),
        );
    }

    /** A message as a sentence of its own: with a capital, and an end. */
    public static function asSentence(Message $message): string
    {
        $words = self::of($message);

        return mb_strtoupper(mb_substr($words, 0, 1)).mb_substr($words, 1).(preg_match('/[.!?]$/u', $words) === 1 ? '' : '.');
    }

    /** Why something cannot be used, with its line and its place. */
    public static function placed(BadInput $e): Message
    {
        $isLine = ctype_digit($e->place);

        return match (true) {
            $e->place === '' => $e->reason,
            $isLine => Message::of('problem.at_line', line: (int) $e->place, says: $e->reason),
            $e->fileLine !== null => Message::of('problem.at_line_and_path', line: $e->fileLine, path: $e->place, says: $e->reason),
            default => Message::of('problem.at_path', path: $e->place, says: $e->reason),
        };
    }

    private static function sentence(string $code, mixed $count): string
    {
        $plural = is_int($count) ? $code.'_'.MessageFormatter::formatMessage(self::LANGUAGE, '{0, plural, one{one} other{other}}', [$count]) : $code;

        return self::all()[$plural] ?? self::all()[$code] ?? throw new LogicException("the catalogue has no words for $code");
    }

    private static function value(mixed $value): string
    {
        return match (true) {
            $value instanceof Message => self::of($value),
            is_array($value) => self::listed($value),
            is_scalar($value) => (string) $value,
            default => '–',
        };
    }

    /** @param  array<mixed>  $values  positions, said as ranges; or texts and messages, said one after the other */
    private static function listed(array $values): string
    {
        if ($values !== [] && array_filter($values, is_int(...)) === $values) {
            return implode(', ', self::ranges(array_values($values)));
        }
        $words = array_map(self::value(...), array_values($values));
        $last = array_pop($words);

        return $words === [] ? (string) $last : strtr(self::all()['list.and'], ['{{first}}' => implode(', ', $words), '{{last}}' => (string) $last]);
    }

    /**
     * @param  list<int>  $numbers  in order
     * @return list<string>
     */
    private static function ranges(array $numbers): array
    {
        $ranges = [];
        $first = $last = null;
        foreach ([...$numbers, null] as $number) {
            if ($first !== null && $number !== $last + 1) {
                $ranges[] = $first === $last ? (string) $first : strtr(self::all()['list.range'], ['{{from}}' => (string) $first, '{{to}}' => (string) $last]);
                $first = null;
            }
            $first ??= $number;
            $last = $number;
        }

        return $ranges;
    }

    /**
     * @param  array<string, mixed>  $words
     * @return array<string, string>
     */
    private static function flat(array $words, string $before = ''): array
    {
        $flat = [];
        foreach ($words as $key => $value) {
            $flat += is_array($value) ? self::flat($value, "$before$key.") : [$before.$key => (string) $value];
        }

        return $flat;
    }
}
