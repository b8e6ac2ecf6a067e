<?php

declare(strict_types=1);

namespace Gorvan\Core\Cue;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Form\Breath;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Phase;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Form\Track\FloorTrack;
use Gorvan\Core\Reading\Message;

/** One entry as a teacher cues it, turned for a view. */
final readonly class CueCard
{
    /**
     * @param  string|null  $side  the class's side, in words
     * @param  string|null  $own  the teacher's own side, where it is another
     * @param  Message  $left  how `{L}` is said in this view, and `right` how `{R}` is
     * @param  list<string>  $cues  with `{L}` and `{R}` for the class's sides
     * @param  list<string>  $breaths  in order of the phases
     * @param  Message|null  $turn  as the teacher does it
     * @param  list<Message>  $travel  as the teacher sees it
     * @param  list<string>  $checks
     * @param  list<Message>  $cautions
     */
    private function __construct(
        public Entry $entry,
        public ?string $side,
        public ?string $own,
        public Message $left,
        public Message $right,
        public array $cues,
        public array $breaths,
        public ?Message $turn,
        public array $travel,
        public array $checks,
        public array $cautions,
    ) {
    }

    /** @param  int  $position  of the entry in its form, whose turns before it say what is faced */
    public static function of(Form $form, int $position, CueView $view): self
    {
        return self::on(FloorTrack::of($form), $form, $position, $view);
    }

    /**
     * Those of several entries: where a form turns is worked out once.
     *
     * @param  list<int>  $positions
     * @return array<int, self> by position
     */
    public static function each(Form $form, array $positions, CueView $view): array
    {
        $track = FloorTrack::of($form);
        $cards = [];
        foreach ($positions as $position) {
            $cards[$position] = self::on($track, $form, $position, $view);
        }

        return $cards;
    }

    private static function on(FloorTrack $track, Form $form, int $position, CueView $view): self
    {
        $entry = $form->at($position);
        $own = $entry->side === null ? null : $view->own($entry->side);

        return new self(
            entry: $entry,
            side: $entry->side === Side::Centre ? null : $entry->side?->value,
            own: $own === null || $own === $entry->side ? null : $own->value,
            left: $view->side(Side::Left),
            right: $view->side(Side::Right),
            cues: EntryCues::of($form, $position),
            breaths: array_map(static fn (Phase $phase): string => ($phase->breath ?? Breath::Free)->value, $entry->phases),
            turn: self::turn($entry->turn, $view),
            travel: self::travel($entry->travel, $view, $track->facingBefore($position)),
            checks: $entry->checks,
            cautions: array_map(self::caution(...), $entry->cautions),
        );
    }

    private static function caution(Caution $caution): Message
    {
        [$for, $do] = [Message::of("consideration.{$caution->for->value}"), Message::of("adaptation.{$caution->do->value}")];

        return $caution->text === null ? Message::of('cue.caution', for: $for, do: $do) : Message::of('cue.caution_text', for: $for, do: $do, text: $caution->text);
    }

    private static function turn(?float $degrees, CueView $view): ?Message
    {
        if ($degrees === null || $degrees === 0.0) {
            return null;
        }
        $own = $view->turn($degrees);
        $way = static fn (float $turn): Message => Message::of($turn > 0 ? 'side.right' : 'side.left');

        return $own === $degrees
            ? Message::of('cue.turn', degrees: round(abs($degrees), 1), way: $way($degrees))
            : Message::of('cue.turn_own', degrees: round(abs($degrees), 1), way: $way($degrees), own: $way($own));
    }

    /**
     * @param  array{float, float}|null  $travel
     * @param  float|null  $facing  degrees clockwise from the opening; null where it is not known
     * @return list<Message>
     */
    private static function travel(?array $travel, CueView $view, ?float $facing): array
    {
        [$forward, $right] = $travel ?? [0.0, 0.0];
        $steps = static fn (float $count, Message $where): Message => Message::of('cue.steps', count: abs($count) === 1.0 ? 1 : 2, steps: round(abs($count), 1), where: $where);

        return [
            ...($forward === 0.0 ? [] : [$steps($forward, $view->along($forward > 0, $facing))]),
            ...($right === 0.0 ? [] : [$steps($right, $view->side($right > 0 ? Side::Right : Side::Left))]),
        ];
    }
}
