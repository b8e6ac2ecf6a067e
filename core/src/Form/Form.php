<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\BadInput;

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
    ) {
        $count = count($entries);
        if ($count === 0) {
            throw BadInput::at('$.entries', 'a form needs at least one entry');
        }
        if ($count > self::MAX_ENTRIES) {
            throw BadInput::at('$.entries', 'a form has at most '.self::MAX_ENTRIES." entries, this one has $count");
        }
        $positions = $twice = [];
        foreach ($entries as $at => $entry) {
            if (isset($positions[$entry->id])) {
                $twice[] = BadInput::at("\$.entries[$at].id", "\"$entry->id\" is also the id of entry {$positions[$entry->id]}");
            }
            $positions[$entry->id] ??= $at + 1;
        }
        if ($twice !== []) {
            throw BadInput::all($twice);
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
        return $this->entries[$position - 1] ?? throw BadInput::whole("there is no entry at position $position");
    }

    /** The position of an entry by its id, from 1, or null when the form has none of that id. */
    public function positionOf(string $id): ?int
    {
        return $this->positions[$id] ?? null;
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
                throw BadInput::at("\$.sections[$at]", "\"$section->title\" ends before it starts");
            }
            if ($section->first < 1 || $section->last > $count) {
                throw BadInput::at("\$.sections[$at]", "\"$section->title\" reaches outside the form's $count entries");
            }
            if ($section->first <= $before) {
                throw BadInput::at("\$.sections[$at]", "\"$section->title\" overlaps the section before it");
            }
            $before = $section->last;
        }
    }
}
