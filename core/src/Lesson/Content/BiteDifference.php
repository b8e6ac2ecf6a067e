<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Content;

use Gorvan\Core\Form\DifferenceOf;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryField;
use Gorvan\Core\Form\EntryMirror;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;
use Gorvan\Core\Form\Phase;
use Gorvan\Core\Form\PostureState;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Form\WeightRange;
use Gorvan\Core\Reading\Message;

/**
 * What is different about an entry that a class knows from elsewhere (engine 17): one that mirrors another is compared field
 * by field and phase by phase with that one reversed, one that returns as it is. Only what both say is compared. Of an entry
 * that returns, the join into it is the new thing.
 */
final readonly class BiteDifference
{
    /** What is seen of a movement; the rest names it, or says how it is taught. */
    private const SEEN = ['side', 'start_side', 'repetition', 'breaths', 'first_step', 'steps', 'footfall', 'weight_end', 'turn', 'travel', 'stance', 'one_leg'];

    /**
     * @param  int  $like  position of the entry it is compared with
     * @param  list<Message>  $differs  each a clause
     * @param  int|null  $before  position of the entry that it comes after here, null for none; `beforeThere` where it stood before
     */
    private function __construct(public int $position, public int $like, public bool $isMirrored, public array $differs, public ?int $before, public ?int $beforeThere)
    {
    }

    /** Null for an entry that is new in itself. */
    public static function of(Form $form, int $position): ?self
    {
        $entry = $form->at($position);
        $isMirrored = LoadModel::mirrorsEarlier($form, $position);
        $like = match (true) {
            $isMirrored => $form->positionOf((string) $entry->mirrors),
            LoadModel::returnsEarlier($form, $position) => $form->positionOf((string) $entry->returns),
            default => null,
        };
        if ($like === null) {
            return null;
        }
        $other = $form->at($like);
        $expected = $isMirrored ? EntryMirror::of($other, $other->id) : $other;
        $differs = [...self::start($form, $position, $like, $isMirrored), ...self::fields($expected, $entry), ...self::phases($expected->phases, $entry->phases), ...self::states('bite.state', $expected->states, $entry->states), ...self::told($entry, $other, $isMirrored)];

        return new self($position, $like, $isMirrored, $differs, self::before($form, $position), self::before($form, $like));
    }

    /** Whether the join into it is another one than where the class met it. */
    public function hasNewJoin(Form $form): bool
    {
        if ($this->before === null || $this->beforeThere === null) {
            return $this->before !== $this->beforeThere;
        }
        $same = static fn (int $a, int $b): bool => $a === $b || in_array($form->at($b)->id, [$form->at($a)->returns, $form->at($a)->mirrors], true)
            || ($form->at($a)->returns !== null && $form->at($a)->returns === $form->at($b)->returns);

        return ! $same($this->before, $this->beforeThere) && ! $same($this->beforeThere, $this->before);
    }

    /**
     * How it is begun: where the weight and the hands are as the entry before leaves them.
     *
     * @return list<Message>
     */
    private static function start(Form $form, int $position, int $like, bool $isMirrored): array
    {
        [$here, $there] = [self::before($form, $position), self::before($form, $like)];
        if ($here === null || $there === null) {
            return [];
        }
        $was = $isMirrored ? EntryMirror::of($form->at($there), 'x') : $form->at($there);
        $is = $form->at($here);

        return [
            ...self::weight('bite.start_weight', $was->weightAtEnd(), $is->weightAtEnd()),
            ...self::text('bite.start_hand', self::last($was)?->hand, self::last($is)?->hand),
        ];
    }

    private static function last(Entry $entry): ?Phase
    {
        return $entry->phases === [] ? null : $entry->phases[count($entry->phases) - 1];
    }

    /** @return list<Message> */
    private static function fields(Entry $expected, Entry $is): array
    {
        $said = [];
        foreach (self::SEEN as $name) {
            $field = EntryField::all()[$name];
            [$was, $now] = [$field->written($expected), $field->written($is)];
            if ($was === null || $now === null || $was == $now) {
                continue;
            }
            [$was, $now] = [self::plain($was), self::plain($now)];
            $said[] = match ($name) {
                'weight_end' => self::weight('bite.weight_end', $expected->weightEnd, $is->weightEnd)[0],
                'turn' => Message::of('bite.turn', is: self::turned((float) $is->turn), was: self::turned((float) $expected->turn)),
                'travel' => Message::of('bite.travel', is: self::travelled($is->travel ?? [0.0, 0.0]), was: self::travelled($expected->travel ?? [0.0, 0.0])),
                'one_leg' => Message::of($is->oneLeg === true ? 'bite.one_leg' : 'bite.not_one_leg'),
                'side', 'start_side' => Message::of("bite.$name", is: Message::of("side.$now"), was: Message::of("side.$was")),
                'first_step', 'footfall' => Message::of("bite.$name", is: Message::of("foot.$now"), was: Message::of("foot.$was")),
                'breaths', 'steps' => Message::of("bite.$name", count: $now == 1 ? 1 : 2, is: $now, was: $was),
                default => Message::of("bite.$name", is: $now, was: $was),
            };
        }

        return $said;
    }

    /**
     * @param  list<Phase>  $expected
     * @param  list<Phase>  $is
     * @return list<Message>
     */
    private static function phases(array $expected, array $is): array
    {
        if ($expected === [] || $is === []) {
            return [];
        }
        $said = count($expected) === count($is) ? [] : [Message::of('bite.phases', count: count($is), is: count($is), was: count($expected))];
        foreach (array_slice($is, 0, count($expected)) as $at => $phase) {
            $was = $expected[$at];
            $parts = [
                ...($was->breath === null || $phase->breath === null || $was->breath === $phase->breath ? [] : [Message::of('bite.breath', is: Message::of("breath.{$phase->breath->value}"), was: Message::of("breath.{$was->breath->value}"))]),
                ...self::weight('bite.phase_weight', $was->weight, $phase->weight),
                ...self::text('bite.gaze', $was->gaze, $phase->gaze),
                ...self::text('bite.hand', $was->hand, $phase->hand),
                ...self::states('bite.state', $was->states, $phase->states),
            ];
            foreach ($parts as $part) {
                $said[] = Message::of('bite.in_phase', nth: $at + 1, says: $part);
            }
        }

        return $said;
    }

    /**
     * @param  list<PostureState>  $expected
     * @param  list<PostureState>  $is
     * @return list<Message>
     */
    private static function states(string $code, array $expected, array $is): array
    {
        $said = [];
        $was = array_column($expected, 'state', 'part');
        foreach ($is as $state) {
            if (isset($was[$state->part]) && $was[$state->part] !== $state->state) {
                $said[] = Message::of($code, part: $state->part, is: $state->state, was: $was[$state->part]);
            }
        }

        return $said;
    }

    /**
     * What the teacher said of the second side, in words.
     *
     * @return list<Message>
     */
    private static function told(Entry $entry, Entry $other, bool $isMirrored): array
    {
        $said = [];
        foreach ([...$entry->differs, ...($isMirrored ? $other->differs : [])] as $one) {
            if ($one->of === DifferenceOf::Sides && $one->nth === 2 && $one->how !== null) {
                $said[] = Message::of('bite.told', text: $one->how);
            }
        }

        return $said;
    }

    /** @return list<Message> none where they are the same, or one is not known */
    private static function weight(string $code, ?WeightRange $was, ?WeightRange $is): array
    {
        return $was === null || $is === null || $was == $is ? [] : [Message::of($code, is: self::foot($is), was: self::foot($was))];
    }

    private static function foot(WeightRange $weight): Message
    {
        [$foot, $most] = $weight->from + $weight->to >= 100.0 ? [Side::Left, [$weight->from, $weight->to]] : [Side::Right, [100.0 - $weight->to, 100.0 - $weight->from]];

        return $most[0] === $most[1]
            ? ($most[0] === 50.0 ? Message::of('foot.even') : Message::of('foot.weight', percent: $most[0], foot: Message::of("side.$foot->value")))
            : Message::of('foot.range', from: $most[0], to: $most[1], foot: Message::of("side.$foot->value"));
    }

    /** @return list<Message> */
    private static function text(string $code, ?string $was, ?string $is): array
    {
        return $was === null || $is === null || $was === $is ? [] : [Message::of($code, is: $is, was: $was)];
    }

    private static function turned(float $degrees): Message
    {
        return $degrees === 0.0 ? Message::of('foot.no_turn') : Message::of('cue.turn', degrees: round(abs($degrees), 1), way: Message::of($degrees > 0 ? 'side.right' : 'side.left'));
    }

    private static function plain(mixed $value): string|int|float
    {
        return is_string($value) || is_int($value) || is_float($value) ? $value : (string) json_encode($value);
    }

    /** @param  array{float, float}  $travel */
    private static function travelled(array $travel): Message
    {
        [$forward, $right] = $travel;
        $ways = [
            ...($forward === 0.0 ? [] : [Message::of('foot.way', count: abs($forward) === 1.0 ? 1 : 2, steps: abs($forward), way: Message::of($forward > 0 ? 'foot.forward' : 'foot.back'))]),
            ...($right === 0.0 ? [] : [Message::of('foot.way', count: abs($right) === 1.0 ? 1 : 2, steps: abs($right), way: Message::of($right > 0 ? 'foot.to_right' : 'foot.to_left'))]),
        ];

        return $ways === [] ? Message::of('foot.in_place') : Message::of('foot.ways', ways: $ways);
    }

    /** The entry before, extras aside. */
    private static function before(Form $form, int $position): ?int
    {
        for ($at = $position - 1; $at >= 1; $at--) {
            if ($form->at($at)->kind->countsInForm()) {
                return $at;
            }
        }

        return null;
    }
}
