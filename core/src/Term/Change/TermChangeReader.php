<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Malformed;
use Gorvan\Core\Reading\NotAllowed;
use Gorvan\Core\Record\RunOrder;
use Gorvan\Core\Term\Box;

/** Reads the changes a page sends: `{"what": …}` and what that kind of change needs. */
final class TermChangeReader
{
    private const LEAST_MINUTES = 10;

    private const MOST_MINUTES = 480;

    private const LONGEST_REASON = 200;

    private const LONGEST_FOCUS = 500;

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(JsonNode $node): TermChange
    {
        $what = $node->required('what');
        $id = static fn (string $key = 'meeting'): string => $node->required($key)->text(Fields::SHORT);
        $isSaid = $node->optional('is')?->bool() ?? true;

        return match ($what->text()) {
            'move' => new MoveMeeting($id(), Instant::day($node->required('to')), self::time($node->optional('at')), self::reason($node)),
            'minutes' => new ChangeMinutes($id(), $node->required('minutes')->whole(self::LEAST_MINUTES, self::MOST_MINUTES), self::reason($node)),
            'cancel' => new CancelMeeting($id(), self::reason($node)),
            'restore' => new RestoreMeeting($id()),
            'add' => new AddMeeting($id('id'), Instant::day($node->required('on')), (string) self::time($node->required('at')), $node->required('minutes')->whole(self::LEAST_MINUTES, self::MOST_MINUTES), self::reason($node), self::text($node, 'room')),
            'close' => new CloseDays(Instant::day($node->required('from')), Instant::day($node->required('to')), self::reason($node)),
            'room' => new SetRoom($id(), self::text($node, 'room')),
            'lesson' => new PinLesson($id('course'), $node->required('number')->whole(1, 600), $node->optional('meeting')?->text(Fields::SHORT)),
            'nothing_new' => new SayNothingNew($id(), $isSaid),
            'rough' => new SayRough($id(), $id('course'), $isSaid),
            'run_order' => new SayRunOrder($id(), $id('course'), $node->optional('order')?->oneOf(RunOrder::class)),
            'spend_reserve' => new SpendReserve($id(), $isSaid),
            'focus' => new SayFocus($id(), self::text($node, 'words', self::LONGEST_FOCUS)),
            'principles' => new SetFocus($id(), $node->optional('principles') === null ? null : Fields::ids($node->optional('principles')), $node->optional('week')?->bool() ?? false),
            'box' => new FixBox($id(), $node->required('box')->oneOf(Box::class)->value, $node->optional('minutes')?->whole(0, self::MOST_MINUTES)),
            'review_out' => new LeaveOutOfReview($id(), $id('course'), Fields::ids($node->required('entries')), $isSaid),
            'review_in' => new PutIntoReview($id(), $id('course'), Fields::ids($node->required('entries'))),
            'review_picked' => new PickForReview($id(), $id('course'), Fields::ids($node->optional('entries'))),
            default => throw NotAllowed::wanted($what->path, ['move', 'minutes', 'cancel', 'restore', 'add', 'close', 'room', 'lesson', 'nothing_new', 'rough', 'run_order', 'spend_reserve', 'focus', 'principles', 'box', 'review_out', 'review_in', 'review_picked'], $what->text()),
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
