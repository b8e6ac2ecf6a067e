<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Closure;
use Gorvan\Core\Care\Caution;
use Gorvan\Core\Care\Joint;
use Gorvan\Core\Care\Strain;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\NotAllowed;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * The one table of an entry's fields: what each is called in the form file and in {@see Entry}, how it is read and
 * written there, how it stands in a cell, and what it is on the other side of the body. Reader, writer, cells, matcher
 * and mirror all ask here; a new field of the format is one line.
 */
final readonly class EntryField
{
    private const REQUIRED = ['id' => true, 'kind' => true, 'title' => true];

    /** Fields a mirrored entry does not take over. */
    private const NOT_MIRRORED = ['number', 'booklet', 'numbers', 'aliases', 'returns', 'mirrors', 'rest', 'cut', 'one_sided'];

    /**
     * @param  string  $name  in the form file
     * @param  string  $property  of {@see Entry}
     * @param  Closure(JsonNode): mixed  $read  a value that is there
     * @param  (Closure(mixed): mixed)|null  $write  as JSON data, null where the value is that already
     * @param  (Closure(mixed): mixed)|null  $mirror  null where both sides have the same
     * @param  list<string>  $keys  of the objects it holds
     */
    private function __construct(
        public string $name,
        public string $property,
        private Closure $read,
        private ?Closure $write,
        public ?CellKind $cell,
        private ?Closure $mirror,
        public array $keys,
    ) {
    }

    /** @return array<string, self> by name, in the order of the file */
    public static function all(): array
    {
        /** @var array<string, self>|null $all */
        static $all = null;

        return $all ??= self::table();
    }

    /**
     * The fields that the entry of a form file says something of, and those it must: an entry has few of the forty.
     *
     * @return array<string, self> by name, in the order of the file
     *
     * @throws \Gorvan\Core\Reading\BadInput
     */
    public static function saidOf(JsonNode $entry): array
    {
        return array_intersect_key(self::all(), self::REQUIRED + get_object_vars($entry->object()));
    }

    /** What the entry of a form file says of it: null, or an empty list, where it says nothing. @throws \Gorvan\Core\Reading\BadInput */
    public function read(JsonNode $entry): mixed
    {
        if (isset(self::REQUIRED[$this->name])) {
            return ($this->read)($entry->required($this->name));
        }
        $node = $entry->optional($this->name);

        return $node === null ? ($this->isList() ? [] : null) : ($this->read)($node);
    }

    /** As JSON data; null or empty where nothing is said. */
    public function written(Entry $entry): mixed
    {
        $value = $this->of($entry);

        return $value === null || $this->write === null ? $value : ($this->write)($value);
    }

    public function of(Entry $entry): mixed
    {
        return $entry->{$this->property};
    }

    /** What the other side of the body has. Pure. */
    public function mirrored(Entry $entry): mixed
    {
        $value = $this->of($entry);
        if (in_array($this->name, self::NOT_MIRRORED, true)) {
            return is_array($value) ? [] : null;
        }

        return $value === null || $this->mirror === null ? $value : ($this->mirror)($value);
    }

    private function isList(): bool
    {
        return in_array($this->name, ['aliases', 'numbers', 'differs', 'same_in', 'phases', 'states', 'variants', 'strains', 'joints', 'cautions', 'checks', 'errors', 'drills', 'cues'], true);
    }

    /** @return array<string, self> */
    private static function table(): array
    {
        $enum = static fn (\BackedEnum $value): int|string => $value->value;
        $side = static fn (Side|FirstStep|Repetition|WeightRange $value): mixed => $value->mirrored();
        $text = static fn (int $most = 300): Closure => static fn (JsonNode $node): string => $node->text($most);
        $number = static fn (float $least, float $most): Closure => static fn (JsonNode $node): float => $node->number($least, $most);
        $whole = static fn (int $most): Closure => static fn (JsonNode $node): int => $node->whole(0, $most);
        $oneOf = static fn (string $enum): Closure => static fn (JsonNode $node): \BackedEnum => $node->oneOf($enum); // @phpstan-ignore argument.type, argument.templateType
        $truth = static fn (JsonNode $node): bool => $node->bool();
        $each = static fn (Closure $read): Closure => static fn (JsonNode $node): array => Fields::each($node, $read);
        $all = [
            self::field('id', 'id', $text(120)),
            self::field('kind', 'kind', $oneOf(EntryKind::class), $enum, CellKind::Word),
            self::field('number', 'number', $whole(9999), null, CellKind::Number),
            self::field('booklet', 'booklet', Booklet::read(...), static fn (Booklet $booklet): stdClass => $booklet->toData(), CellKind::Booklet, keys: Booklet::KEYS),
            self::field('numbers', 'numbers', $each(SchemeNumber::read(...)), self::parts(...), keys: SchemeNumber::KEYS),
            self::field('title', 'title', $text(), null, CellKind::Text, Tokens::sidesSwapped(...)),
            self::field('aliases', 'aliases', $each(TitleAlias::read(...)), self::parts(...), CellKind::Aliases, keys: TitleAlias::KEYS),
            self::field('side', 'side', $oneOf(Side::class), $enum, CellKind::Word, $side),
            self::field('start_side', 'startSide', self::startSide(...), $enum, CellKind::Word, $side),
            self::field('one_sided', 'isOneSided', $truth, null, CellKind::Truth),
            self::field('repetition', 'repetition', static fn (JsonNode $node): Repetition => Repetition::parse($node->text()), static fn (Repetition $repetition): string => $repetition->stated, CellKind::Text, $side),
            self::field('repetition_inferred', 'isRepetitionInferred', $truth, null, CellKind::Truth),
            self::field('differs', 'differs', $each(Difference::read(...)), self::parts(...), null, self::others(...), Difference::KEYS),
            self::field('breaths', 'breaths', $number(0, 999), null, CellKind::Number),
            self::field('first_step', 'firstStep', $oneOf(FirstStep::class), $enum, CellKind::Word, $side),
            self::field('steps', 'steps', $whole(99), null, CellKind::Number),
            self::field('footfall', 'footfall', $oneOf(Footfall::class), $enum, CellKind::Word),
            self::field('weight_end', 'weightEnd', WeightRange::read(...), static fn (WeightRange $range): float|array => $range->toData(), CellKind::Weight, $side),
            self::field('turn', 'turn', $number(-3600, 3600), null, CellKind::Number, self::negated(...)),
            self::field('travel', 'travel', static fn (JsonNode $node): array => $node->pair(-1000, 1000), null, CellKind::Travel, self::travel(...)),
            self::field('stance', 'stance', $text(), null, CellKind::Text),
            self::field('one_leg', 'oneLeg', $truth, null, CellKind::Truth),
            self::field('returns', 'returns', $text(120), null, CellKind::Text),
            self::field('mirrors', 'mirrors', $text(120), null, CellKind::Text),
            self::field('same_in', 'sameIn', $each(SameIn::read(...)), self::parts(...), keys: SameIn::KEYS),
            self::field('demand', 'demand', $number(0.25, 5), null, CellKind::Number),
            self::field('rest', 'rest', $number(0, 1), null, CellKind::Number),
            self::field('cut', 'cut', $oneOf(CutPin::class), $enum, CellKind::Word),
            self::field('phases', 'phases', $each(Phase::read(...)), self::parts(...), null, self::others(...), Phase::KEYS),
            self::field('states', 'states', $each(PostureState::read(...)), self::parts(...), keys: PostureState::KEYS),
            self::field('variants', 'variants', $each(Variant::read(...)), self::parts(...), null, self::others(...), Variant::KEYS),
            self::field('strains', 'strains', $each($oneOf(Strain::class)), self::words(...)),
            self::field('joints', 'joints', $each($oneOf(Joint::class)), self::words(...)),
            self::field('cautions', 'cautions', $each(Caution::read(...)), self::parts(...), null, self::cautions(...), Caution::KEYS),
            self::field('checks', 'checks', Fields::texts(...), null, CellKind::Lines, self::tokens(...)),
            self::field('errors', 'errors', $each(CommonError::read(...)), self::parts(...), null, self::others(...), CommonError::KEYS),
            self::field('drills', 'drills', Fields::texts(...), null, CellKind::Lines, self::tokens(...)),
            self::field('cues', 'cues', Fields::texts(...), null, CellKind::Lines, self::tokens(...)),
        ];

        return array_combine(array_map(static fn (self $field): string => $field->name, $all), $all);
    }

    /** @param  list<string>  $keys */
    private static function field(string $name, string $property, Closure $read, ?Closure $write = null, ?CellKind $cell = null, ?Closure $mirror = null, array $keys = []): self
    {
        return new self($name, $property, $read, $write, $cell, $mirror, $keys);
    }

    private static function startSide(JsonNode $node): Side
    {
        $side = $node->oneOf(Side::class);

        return $side === Side::Left || $side === Side::Right ? $side : throw NotAllowed::sideOnly($node->path);
    }

    private static function negated(float $value): float
    {
        return $value === 0.0 ? $value : -$value;
    }

    /**
     * @param  list<Written>  $parts
     * @return list<stdClass>
     */
    private static function parts(array $parts): array
    {
        return array_map(static fn (Written $part): stdClass => $part->toData(), $parts);
    }

    /**
     * @param  list<Mirrored>  $parts
     * @return list<Mirrored>
     */
    private static function others(array $parts): array
    {
        return array_map(static fn (Mirrored $part): Mirrored => $part->mirrored(), $parts);
    }

    /**
     * @param  list<string>  $texts
     * @return list<string>
     */
    private static function tokens(array $texts): array
    {
        return array_map(Tokens::swapped(...), $texts);
    }

    /**
     * @param  list<Caution>  $cautions
     * @return list<Caution>
     */
    private static function cautions(array $cautions): array
    {
        return array_map(Tokens::inCaution(...), $cautions);
    }

    /**
     * @param  list<Strain|Joint>  $words
     * @return list<string>
     */
    private static function words(array $words): array
    {
        return array_map(static fn (Strain|Joint $word): string => $word->value, $words);
    }

    /**
     * @param  array{float, float}  $travel
     * @return array{float, float}
     */
    private static function travel(array $travel): array
    {
        return [$travel[0], self::negated($travel[1])];
    }
}
