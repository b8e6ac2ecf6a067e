<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Contradiction;
use Gorvan\Core\Reading\Missing;
use Gorvan\Core\Reading\Repeated;
use Gorvan\Core\Reading\SeveralProblems;
use Gorvan\Core\Reading\TooMany;
use OutOfBoundsException;

/**
 * A fixed sequence of entries with its sections. Positions count every entry from 1, extras too.
 */
final readonly class Form
{
    public const MAX_ENTRIES = 600;

    /** @var array<string, int> position by entry id */
    private array $positions;

    /**
     * @param  list<Section>  $sections  in order, not overlapping
     * @param  list<Entry>  $entries
     * @param  string|null  $about  what it is, and where its values come from
     * @param  float|null  $showingPace  time of a showing over the time of a class, 1 being as fast
     * @param  list<NumberingScheme>  $schemes  other ways of counting the form
     * @param  list<Acceptance>  $accepted  findings the teacher accepts
     * @param  array<string, mixed>  $others
     * @param  list<list<string>>  $lessons  its own, each as the ids of its entries; none where no cut was kept
     *
     * @throws BadInput when there is no entry, too many, an id twice, or a section that lies wrongly
     */
    public function __construct(
        public string $title,
        public array $entries,
        public array $sections = [],
        public ?string $family = null,
        public ?string $about = null,
        public ?int $announced = null,
        public ?float $breathSeconds = null,
        public ?Footfall $footfall = null,
        public ?float $showingPace = null,
        public array $schemes = [],
        public array $accepted = [],
        public array $others = [],
        public array $lessons = [],
    ) {
        $count = count($entries);
        if ($count === 0) {
            throw Missing::entryInForm();
        }
        if ($count > self::MAX_ENTRIES) {
            throw TooMany::entries(self::MAX_ENTRIES, $count);
        }
        $positions = $twice = [];
        foreach ($entries as $at => $entry) {
            if (isset($positions[$entry->id])) {
                $twice[] = Repeated::id("\$.entries[$at].id", $entry->id, $positions[$entry->id]);
            }
            $positions[$entry->id] ??= $at + 1;
        }
        if ($twice !== []) {
            throw SeveralProblems::all($twice);
        }
        $this->positions = $positions;
        self::checkSections($sections, $count);
    }

    /**
     * The same form with some properties changed. Pure.
     *
     * @param  array<string, mixed>  $changes  by the names of the properties
     *
     * @throws BadInput
     */
    public function with(array $changes): self
    {
        $all = [...get_object_vars($this), ...$changes];
        unset($all['positions']);

        return new self(...$all); // @phpstan-ignore argument.type
    }

    public function count(): int
    {
        return count($this->entries);
    }

    /** @param  int  $position from 1 */
    public function at(int $position): Entry
    {
        return $this->entries[$position - 1] ?? throw new OutOfBoundsException("no entry at position $position of a form of ".$this->count());
    }

    /** The position of an entry by its id, from 1, or null when the form has none of that id. */
    public function positionOf(string $id): ?int
    {
        return $this->positions[$id] ?? null;
    }

    /**
     * Where some entries stand, in the order of the form; those that are not in it are not among them.
     *
     * @param  iterable<string>  $ids
     * @return list<int>
     */
    public function positionsOf(iterable $ids): array
    {
        $positions = [];
        foreach ($ids as $id) {
            $position = $this->positionOf($id);
            if ($position !== null) {
                $positions[] = $position;
            }
        }
        sort($positions);

        return $positions;
    }

    /**
     * The stretch from the first to the last of some entries, or null when none of them is in the form.
     *
     * @param  iterable<string>  $ids
     */
    public function passageOf(iterable $ids): ?Passage
    {
        $positions = $this->positionsOf($ids);

        return $positions === [] ? null : new Passage($positions[0], $positions[count($positions) - 1]);
    }

    /**
     * The fewest passages over some entries; extras between them part none, and those that are not in the form are in none.
     *
     * @param  iterable<string>  $ids
     * @return list<Passage>
     */
    public function passagesOf(iterable $ids): array
    {
        $passages = [];
        foreach ($this->positionsOf($ids) as $position) {
            $last = $passages === [] ? null : $passages[count($passages) - 1];
            $joins = $last !== null && array_filter($last->to + 1 < $position ? range($last->to + 1, $position - 1) : [], fn (int $between): bool => $this->at($between)->kind->countsInForm()) === [];
            if ($last !== null && $joins) {
                array_pop($passages);
            }
            $passages[] = new Passage($last !== null && $joins ? $last->from : $position, $position);
        }

        return $passages;
    }

    /** @return list<string> ids of the entries of a passage, extras too */
    public function idsOf(?Passage $passage): array
    {
        return array_map(fn (int $position): string => $this->at($position)->id, $passage?->positions() ?? []);
    }

    /** @return list<string> ids of the entries of a passage that belong to the form, so no extras */
    public function countedIdsOf(?Passage $passage): array
    {
        return array_values(array_filter($this->idsOf($passage), fn (string $id): bool => $this->at((int) $this->positionOf($id))->kind->countsInForm()));
    }

    /** Whether a section ends with the entry at this position. */
    public function sectionEndsAt(int $position): bool
    {
        foreach ($this->sections as $section) {
            if ($section->last === $position) {
                return true;
            }
        }

        return false;
    }

    /** The section an entry stands in, or null when it stands in a gap. */
    public function sectionOf(int $position): ?Section
    {
        foreach ($this->sections as $section) {
            if ($section->first <= $position && $position <= $section->last) {
                return $section;
            }
        }

        return null;
    }

    /** @param  list<Section>  $sections */
    private static function checkSections(array $sections, int $count): void
    {
        $before = 0;
        foreach ($sections as $at => $section) {
            if ($section->last < $section->first) {
                throw Contradiction::section("\$.sections[$at]", 'backwards', $section->title, $count);
            }
            if ($section->first < 1 || $section->last > $count) {
                throw Contradiction::section("\$.sections[$at]", 'outside', $section->title, $count);
            }
            if ($section->first <= $before) {
                throw Contradiction::section("\$.sections[$at]", 'overlap', $section->title, $count);
            }
            $before = $section->last;
        }
    }

    /** The last movement up to a position, by the number that is printed in the form; where it has none, by its place; 0 for none. */
    public function numberAt(int $to): int
    {
        $movements = array_values(array_filter(array_slice($this->entries, 0, $to), static fn (Entry $entry): bool => $entry->kind === EntryKind::Movement));
        $last = $movements === [] ? null : $movements[count($movements) - 1];

        return $last->number ?? count($movements);
    }

    /**
     * Passages over neighbouring movements; connectors between two of them do not part them.
     *
     * @param  list<int>  $positions  of movements, in order
     * @return list<Passage>
     */
    public function runsOfMovements(array $positions): array
    {
        $runs = [];
        foreach ($positions as $position) {
            $last = array_pop($runs);
            if ($last !== null && ! $this->isMovementBetween($last->to, $position)) {
                $runs[] = new Passage($last->from, $position);
            } else {
                array_push($runs, ...($last === null ? [] : [$last]), ...[new Passage($position, $position)]);
            }
        }

        return $runs;
    }

    private function isMovementBetween(int $from, int $to): bool
    {
        for ($position = $from + 1; $position < $to; $position++) {
            if ($this->at($position)->kind === EntryKind::Movement) {
                return true;
            }
        }

        return false;
    }
}
