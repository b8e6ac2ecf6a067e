<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Content;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Contradiction;
use Gorvan\Core\Reading\Gone;
use Gorvan\Core\Reading\Prerequisites;
use Gorvan\Core\Reading\Repeated;

/** The drills of a form, and what comes before what: drills after drills, and after entries that must be known. Immutable. */
final readonly class LeadUps
{
    /** @param  list<Drill>  $drills */
    private function __construct(public array $drills)
    {
    }

    /**
     * @param  list<Drill>  $drills
     * @param  Form|null  $form  whose entries they name; null where none is given, and then only drills are looked for
     *
     * @throws \Gorvan\Core\Reading\BadInput where an id stands twice or names nothing, or drills come after each other in a circle
     */
    public static function of(array $drills, ?Form $form = null): self
    {
        $by = [];
        foreach ($drills as $at => $drill) {
            if (isset($by[$drill->id])) {
                throw Repeated::inList("\$.drills[$at].id", $drill->id);
            }
            $by[$drill->id] = $drill;
        }
        foreach ($drills as $at => $drill) {
            foreach (['parent' => $drill->parent, ...$drill->after] as $key => $id) {
                if ($form !== null && $form->positionOf($id) === null && ($key === 'parent' || ! isset($by[$id]))) {
                    throw Gone::named('$.drills['.$at.']'.($key === 'parent' ? '.parent' : ".after[$key]"), $id);
                }
            }
        }
        $circle = Prerequisites::circle(array_map(static fn (Drill $drill): array => $drill->after, $by));
        if ($circle !== []) {
            $at = (int) array_search($circle[0], array_map(strval(...), array_keys($by)), true);
            throw Contradiction::prerequisitesInACircle("\$.drills[$at].after", array_map(static fn (string $id): string => $by[$id]->title, $circle));
        }

        return new self($drills);
    }

    /**
     * What is to hand when minutes are over (engine 8): titles of what leads up to each entry, its own first; and which entries have a
     * drill for two.
     *
     * @param  list<WrittenLesson>  $lessons
     * @return array{array<string, list<string>>, list<string>} both by entry
     */
    public static function toHand(Form $form, array $lessons): array
    {
        $titles = $partners = [];
        foreach ($form->entries as $entry) {
            $titles[$entry->id] = $entry->drills;
        }
        foreach ($lessons as $lesson) {
            foreach ($lesson->drills as $drill) {
                $titles[$drill->parent][] = $drill->title;
            }
            $lesson->partner === null || $partners[] = $lesson->partner->entry;
        }

        return [array_map(static fn (array $of): array => array_values(array_unique($of)), array_filter($titles)), array_values(array_unique($partners))];
    }

    /**
     * Those that lead up to some entries, and what those drills come after in turn, in an order in which they can be done.
     *
     * @param  list<string>  $entries
     */
    public function to(array $entries): self
    {
        $by = array_column($this->drills, null, 'id');
        $wanted = array_values(array_filter($this->drills, static fn (Drill $drill): bool => in_array($drill->parent, $entries, true)));
        $found = [];
        while ($wanted !== []) {
            $drill = array_shift($wanted);
            if (! isset($found[$drill->id])) {
                $found[$drill->id] = $drill->after;
                array_push($wanted, ...array_values(array_filter(array_map(static fn (string $id): ?Drill => $by[$id] ?? null, $drill->after))));
            }
        }
        $order = Prerequisites::order(array_intersect_key(array_map(static fn (Drill $drill): array => $drill->after, $by), $found));

        return new self(array_map(static fn (string $id): Drill => $by[$id], $order));
    }

    /**
     * The entries that must be known before some are begun: what their drills come after, and what they return to or mirror.
     *
     * @param  list<string>  $entries
     * @return list<int> positions, in order
     */
    public function knownBefore(array $entries, Form $form): array
    {
        $before = [];
        foreach ($this->to($entries)->drills as $drill) {
            array_push($before, ...$drill->after);
        }
        foreach ($entries as $id) {
            $entry = $form->positionOf($id) === null ? null : $form->at((int) $form->positionOf($id));
            $before[] = $entry->returns ?? $entry->mirrors ?? $id;
        }

        return $form->positionsOf(array_diff($before, $entries));
    }
}
