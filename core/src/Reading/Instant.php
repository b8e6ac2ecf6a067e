<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

use DateTimeImmutable;
use DateTimeZone;

/** Reads days, instants and zones from JSON, strictly. */
final class Instant
{
    /** An RFC 3339 instant; one without an offset is an error. @throws BadInput */
    public static function read(JsonNode $node): DateTimeImmutable
    {
        $text = $node->text();
        if (preg_match('/^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)(?::(\d\d)(?:\.\d{1,6})?)?(Z|[+-]\d\d:\d\d)?$/', $text, $m) !== 1
            || ! checkdate((int) $m[2], (int) $m[3], (int) $m[1])
            || (int) $m[4] > 23 || (int) $m[5] > 59 || (int) ($m[6] ?? 0) > 59) {
            throw Malformed::text($node->path, 'instant', $text);
        }
        if (($m[7] ?? '') === '') {
            throw Malformed::text($node->path, 'offset', $text);
        }

        return new DateTimeImmutable($text);
    }

    /** A calendar day `Y-m-d`. @throws BadInput */
    public static function day(JsonNode $node): string
    {
        $text = $node->text();
        if (! self::isDay($text)) {
            throw Malformed::text($node->path, 'day', $text);
        }

        return $text;
    }

    public static function isDay(string $text): bool
    {
        return preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $text, $m) === 1
            && checkdate((int) $m[2], (int) $m[3], (int) $m[1]);
    }

    /** A zone by its name in the IANA database. @throws BadInput */
    public static function zone(JsonNode $node): DateTimeZone
    {
        $name = $node->text(60);
        if (! in_array($name, DateTimeZone::listIdentifiers(DateTimeZone::ALL_WITH_BC), true)) {
            throw Malformed::zone($node->path, $name);
        }

        return new DateTimeZone($name);
    }
}
