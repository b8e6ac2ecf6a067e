<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Meeting;
use App\Models\Recorded;
use App\Models\Term;

/** What a teacher can change of a term, as it is at one moment, so that a change can be taken back. */
final class TermSnapshot
{
    private const MEETING = ['on', 'starts_at', 'minutes', 'state', 'reason', 'room', 'pins'];

    private const COURSE = ['form_id', 'ordinal', 'first_entry', 'last_entry', 'approach', 'share', 'lesson_load', 'lesson_count', 'lesson_minutes', 'load_minutes', 'lambda', 'pins', 'cut', 'showing', 'rhythm', 'pace', 'spread', 'reserve', 'looks_back', 'keeps'];

    /** @return array{closures: mixed, turns: mixed, meetings: array<string, array<string, mixed>>, courses: array<string, array<string, mixed>>} */
    public function of(Term $term): array
    {
        $raw = static fn (Meeting|Course $row, array $keys): array => array_intersect_key($row->getAttributes(), array_fill_keys($keys, true));

        return [
            'closures' => Term::findOrFail($term->id)->closures,
            'turns' => Term::findOrFail($term->id)->turns,
            'meetings' => Meeting::where('term_id', $term->id)->get()->mapWithKeys(static fn (Meeting $one): array => [$one->id => $raw($one, self::MEETING)])->all(),
            'courses' => Course::where('term_id', $term->id)->get()->mapWithKeys(static fn (Course $one): array => [$one->id => $raw($one, self::COURSE)])->all(),
        ];
    }

    /**
     * What differs between two moments: meetings and courses by id.
     *
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     * @return list<string>
     */
    public static function touched(array $before, array $after): array
    {
        $touched = [];
        foreach (['meetings', 'courses'] as $what) {
            foreach (array_keys($before[$what] + $after[$what]) as $id) {
                if (($before[$what][$id] ?? null) != ($after[$what][$id] ?? null)) {
                    $touched[] = (string) $id;
                }
            }
        }

        return $touched;
    }

    /**
     * The closures of now without those the change made, and with those it took away, in the order of their days.
     *
     * @param  list<array{from: string, to: string}>  $before
     * @param  list<array{from: string, to: string}>  $after
     * @param  list<array{from: string, to: string}>  $now
     * @return list<array{from: string, to: string}>
     */
    public static function closures(array $before, array $after, array $now): array
    {
        $without = static fn (array $all, array $those): array => array_values(array_filter($all, static fn (array $one): bool => ! in_array($one, $those)));
        $closures = [...$without($now, $without($after, $before)), ...$without($before, [...$after, ...$now])];
        usort($closures, static fn (array $a, array $b): int => [$a['from'], $a['to']] <=> [$b['from'], $b['to']]);

        return $closures;
    }

    /**
     * Puts back what a change touched; days that were closed since stay closed.
     *
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     * @param  list<string>  $touched
     */
    public function restore(Term $term, array $before, array $after, array $touched): void
    {
        $term->update(['closures' => self::closures($before['closures'], $after['closures'], $term->closures)]);
        if (array_key_exists('turns', $before) && $before['turns'] !== $after['turns']) {
            $term->update(['turns' => $before['turns']]);
        }
        foreach ($touched as $id) {
            $meeting = Meeting::find($id);
            if (isset($before['meetings'][$id])) {
                Meeting::whereKey($id)->update([...$before['meetings'][$id], 'sequence' => ($meeting->sequence ?? 0) + 1]);
            } elseif ($meeting !== null) {
                // A meeting that something was noted at stays, and does not take place.
                Recorded::atAnyOf(collect([$id])) ? $meeting->update(['state' => 'cancelled']) : $meeting->delete();
            } elseif (isset($before['courses'][$id])) {
                Course::whereKey($id)->exists() ? Course::whereKey($id)->update($before['courses'][$id]) : Course::query()->insert(['id' => $id, 'school_id' => $term->school_id, 'term_id' => $term->id, ...$before['courses'][$id]]);
            } else {
                Course::whereKey($id)->delete();
            }
        }
    }
}
