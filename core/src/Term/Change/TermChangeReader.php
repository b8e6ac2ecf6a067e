<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Malformed;
use Gorvan\Core\Record\RunOrder;
use Gorvan\Core\Term\Box;

/**
 * Reads the changes a page sends: `{"what": …}` and what that kind of change needs.
 *
 * @phpstan-type Data array{what: ChangeKind, meeting?: string, id?: string, on?: string, at?: string|null, to?: string, from?: string, minutes?: int|null, reason?: string|null, room?: string|null, course?: string, number?: int, is?: bool, order?: RunOrder|null, words?: string|null, principles?: list<string>|null, week?: bool, box?: Box, entries?: list<string>}
 */
final class TermChangeReader
{
    private const LEAST_MINUTES = 10;

    private const MOST_MINUTES = 480;

    private const LONGEST_REASON = 200;

    private const LONGEST_FOCUS = 500;

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(JsonNode $node): TermChange
    {
        $id = static fn (string $key = 'meeting'): string => $node->required($key)->text(Fields::SHORT);
        $isSaid = $node->optional('is')?->bool() ?? true;

        return match ($node->required('what')->oneOf(ChangeKind::class)) {
            ChangeKind::Move => new MoveMeeting($id(), Instant::day($node->required('to')), self::time($node->optional('at')), self::reason($node)),
            ChangeKind::Minutes => new ChangeMinutes($id(), $node->required('minutes')->whole(self::LEAST_MINUTES, self::MOST_MINUTES), self::reason($node)),
            ChangeKind::Cancel => new CancelMeeting($id(), self::reason($node)),
            ChangeKind::Restore => new RestoreMeeting($id()),
            ChangeKind::Add => new AddMeeting($id('id'), Instant::day($node->required('on')), (string) self::time($node->required('at')), $node->required('minutes')->whole(self::LEAST_MINUTES, self::MOST_MINUTES), self::reason($node), self::text($node, 'room')),
            ChangeKind::Close => new CloseDays(Instant::day($node->required('from')), Instant::day($node->required('to')), self::reason($node)),
            ChangeKind::Room => new SetRoom($id(), self::text($node, 'room')),
            ChangeKind::Lesson => new PinLesson($id('course'), $node->required('number')->whole(1, 600), $node->optional('meeting')?->text(Fields::SHORT)),
            ChangeKind::NothingNew => new SayNothingNew($id(), $isSaid),
            ChangeKind::Rough => new SayRough($id(), $id('course'), $isSaid),
            ChangeKind::RunOrder => new SayRunOrder($id(), $id('course'), $node->optional('order')?->oneOf(RunOrder::class)),
            ChangeKind::SpendReserve => new SpendReserve($id(), $isSaid),
            ChangeKind::Focus => new SayFocus($id(), self::text($node, 'words', self::LONGEST_FOCUS)),
            ChangeKind::Principles => new SetFocus($id(), $node->optional('principles') === null ? null : Fields::ids($node->optional('principles')), $node->optional('week')?->bool() ?? false),
            ChangeKind::Box => new FixBox($id(), $node->required('box')->oneOf(Box::class)->value, $node->optional('minutes')?->whole(0, self::MOST_MINUTES)),
            ChangeKind::ReviewOut => new LeaveOutOfReview($id(), $id('course'), Fields::ids($node->required('entries')), $isSaid),
            ChangeKind::ReviewIn => new PutIntoReview($id(), $id('course'), Fields::ids($node->required('entries'))),
            ChangeKind::ReviewPicked => new PickForReview($id(), $id('course'), Fields::ids($node->optional('entries'))),
        };
    }

    private static function reason(JsonNode $node): ?string
    {
        return self::text($node, 'reason', self::LONGEST_REASON);
    }

    private static function text(JsonNode $node, string $key, int $longest = Fields::SHORT): ?string
    {
        $text = trim($node->optional($key)?->text($longest) ?? '');

        return $text === '' ? null : $text;
    }

    private static function time(?JsonNode $node): ?string
    {
        if ($node === null) {
            return null;
        }

        return preg_match('/^(?:[01]\d|2[0-3]):[0-5]\d$/D', $node->text()) === 1 ? $node->text() : throw Malformed::text($node->path, 'time', $node->text());
    }
}
