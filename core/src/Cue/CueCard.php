<?php

declare(strict_types=1);

namespace Gorvan\Core\Cue;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Form\Breath;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Phase;
use Gorvan\Core\Form\Side;

/** One entry as a teacher cues it, turned for a view. */
final readonly class CueCard
{
    /**
     * @param  string|null  $side  the class's side, in words
     * @param  string|null  $own  the teacher's own side, where it is another
     * @param  list<string>  $cues  with their sides in words
     * @param  list<string>  $breaths  in order of the phases
     * @param  string|null  $turn  as the teacher does it
     * @param  string|null  $travel  as the teacher sees it
     * @param  list<string>  $checks
     * @param  list<string>  $cautions
     */
    private function __construct(
        public Entry $entry,
        public ?string $side,
        public ?string $own,
        public array $cues,
        public array $breaths,
        public ?string $turn,
        public ?string $travel,
        public array $checks,
        public array $cautions,
    ) {
    }

    public static function of(Entry $entry, CueView $view): self
    {
        $cues = $entry->cues;
        foreach ($entry->phases as $phase) {
            if ($phase->cue !== null) {
                $cues[] = $phase->cue;
            }
        }
        $own = $entry->side === null ? null : $view->own($entry->side);

        return new self(
            entry: $entry,
            side: $entry->side === Side::Centre ? null : $entry->side?->value,
            own: $own === null || $own === $entry->side ? null : $own->value,
            cues: array_map(static fn (string $cue): string => self::turned($cue, $view), $cues),
            breaths: array_map(static fn (Phase $phase): string => ($phase->breath ?? Breath::Free)->value, $entry->phases),
            turn: self::turn($entry->turn, $view),
            travel: self::travel($entry->travel, $view),
            checks: array_map(static fn (string $check): string => self::turned($check, $view), $entry->checks),
            cautions: array_map(static fn (Caution $caution): string => str_replace('_', ' ', $caution->for->value).': '.$caution->do->value.($caution->text === null ? '' : ' – '.self::turned($caution->text, $view)), $entry->cautions),
        );
    }

    /** A cue as it is said, with the teacher's own side beside it where that is another. Pure. */
    public static function turned(string $cue, CueView $view): string
    {
        return (string) preg_replace_callback('/\{([LR])\}/', static function (array $found) use ($view): string {
            $side = $found[1] === 'L' ? Side::Left : Side::Right;
            $own = $view->own($side);

            return $side->value.($own === null || $own === $side ? '' : " (your $own->value)");
        }, $cue);
    }

    private static function turn(?float $degrees, CueView $view): ?string
    {
        if ($degrees === null || $degrees === 0.0) {
            return null;
        }
        $own = $view->turn($degrees);
        $words = round(abs($degrees), 1).'° to the '.($degrees > 0 ? 'right' : 'left');

        return $own === $degrees ? $words : $words.' (your '.($own > 0 ? 'right' : 'left').')';
    }

    /** @param  array{float, float}|null  $travel */
    private static function travel(?array $travel, CueView $view): ?string
    {
        if ($travel === null || $travel === [0.0, 0.0]) {
            return null;
        }
        [$forward, $right] = $travel;
        $steps = static fn (float $count): string => round(abs($count), 1).(abs($count) === 1.0 ? ' step ' : ' steps ');
        $parts = array_filter([
            $forward === 0.0 ? null : $steps($forward).($forward > 0 ? $view->forward() : $view->back()),
            $right === 0.0 ? null : $steps($right).self::turned($right > 0 ? '{R}' : '{L}', $view),
        ]);

        return implode(', ', $parts);
    }
}
