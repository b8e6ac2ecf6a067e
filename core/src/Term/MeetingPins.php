<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use Gorvan\Core\Record\RunOrder;
use stdClass;

/** What the teacher fixed of a meeting: the planner keeps it, and plans around it (engine 9). */
final readonly class MeetingPins implements Written
{
    /**
     * @param  bool  $nothingNew  tonight brings nothing new
     * @param  bool  $spendsReserve  this reserve may be used for new work
     * @param  array<string, int>  $lessons  number of the lesson that is given here, by course
     * @param  array<string, int>  $boxes  minutes of a box, by the name of the {@see Box}
     * @param  array<string, list<string>>  $without  entries that are not reviewed tonight, by course
     * @param  array<string, list<list<string>>>  $with  passages that are reviewed tonight whatever they are worth, by course
     * @param  string|null  $focus  in the teacher's own words
     * @param  list<string>  $rough  courses of which all is gone through tonight, roughly, followed along where it is not taught
     * @param  array<string, bool>  $gives  courses whose next lesson is given here whatever holds it back; asked beside a plan, and never kept
     * @param  list<string>|null  $principles  the focus by hand, the first one first; none for a meeting without one; null to leave it to the plan
     * @param  array<string, RunOrder>  $orders  in which order what is known is run through, by course
     * @param  array<string, list<string>>  $picked  entries that are reviewed tonight one by one, each closed by its rest, by course
     */
    public function __construct(
        public bool $nothingNew = false,
        public bool $spendsReserve = false,
        public array $lessons = [],
        public array $boxes = [],
        public array $without = [],
        public array $with = [],
        public ?string $focus = null,
        public ?array $principles = null,
        public array $rough = [],
        public array $gives = [],
        public array $orders = [],
        public array $picked = [],
    ) {
    }

    /** Whether the teacher said that nothing new comes: in words, or by giving it no minutes. */
    public function bringsNothing(): bool
    {
        return $this->nothingNew || ($this->boxes[Box::New->value] ?? null) === 0;
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            $node->optional('nothing_new')?->bool() ?? false,
            $node->optional('spends_reserve')?->bool() ?? false,
            self::by($node->optional('lessons'), static fn (JsonNode $one): int => $one->whole(1, 600)),
            self::by($node->optional('boxes'), static fn (JsonNode $one): int => $one->whole(0, 1440)),
            self::by($node->optional('without'), Fields::ids(...)),
            self::by($node->optional('with'), static fn (JsonNode $one): array => array_map(Fields::ids(...), $one->items())),
            $node->optional('focus')?->text(Fields::LONG),
            $node->optional('principles') === null ? null : Fields::ids($node->optional('principles')),
            Fields::ids($node->optional('rough')),
            orders: self::by($node->optional('orders'), static fn (JsonNode $one): RunOrder => $one->oneOf(RunOrder::class)),
            picked: self::by($node->optional('picked'), Fields::ids(...)),
        );
    }

    /**
     * @template T
     *
     * @param  callable(JsonNode): T  $read
     * @return array<string, T>
     */
    private static function by(?JsonNode $node, callable $read): array
    {
        $all = [];
        foreach ($node?->others([]) ?? [] as $name => $value) {
            $all[(string) $name] = $read(JsonNode::of($value, "{$node?->path}.$name"));
        }

        return $all;
    }

    public function toData(): stdClass
    {
        return Fields::written([
            'nothing_new' => $this->nothingNew ?: null,
            'spends_reserve' => $this->spendsReserve ?: null,
            'lessons' => $this->lessons === [] ? null : (object) $this->lessons,
            'boxes' => $this->boxes === [] ? null : (object) $this->boxes,
            'without' => $this->without === [] ? null : (object) $this->without,
            'with' => $this->with === [] ? null : (object) $this->with,
            'picked' => $this->picked === [] ? null : (object) $this->picked,
            'focus' => $this->focus,
            'rough' => $this->rough,
            'orders' => $this->orders === [] ? null : (object) array_map(static fn (RunOrder $one): string => $one->value, $this->orders),
        ], $this->principles === null ? [] : ['principles' => $this->principles]);
    }

    /**
     * The same with some properties changed. Pure.
     *
     * @param  array<string, mixed>  $changes  by the names of the properties
     */
    public function with(array $changes): self
    {
        return new self(...[...get_object_vars($this), ...$changes]); // @phpstan-ignore argument.type
    }

    /** @return list<array<string, mixed>> as a plan carries them */
    public function listed(): array
    {
        $listed = [];
        foreach ([['nothing_new', $this->nothingNew], ['spend_reserve', $this->spendsReserve]] as [$what, $isSaid]) {
            $isSaid && $listed[] = ['what' => $what];
        }
        foreach ($this->lessons as $course => $number) {
            $listed[] = ['what' => 'lesson', 'course' => $course, 'value' => $number];
        }
        foreach ($this->boxes as $box => $minutes) {
            $listed[] = ['what' => 'box', 'box' => $box, 'value' => $minutes];
        }
        foreach ($this->without as $course => $entries) {
            $listed[] = ['what' => 'review_out', 'course' => $course, 'entries' => $entries];
        }
        foreach ($this->with as $course => $passages) {
            foreach ($passages as $entries) {
                $listed[] = ['what' => 'review_in', 'course' => $course, 'entries' => $entries];
            }
        }
        foreach ($this->picked as $course => $entries) {
            $listed[] = ['what' => 'review_picked', 'course' => $course, 'entries' => $entries];
        }
        foreach ($this->rough as $course) {
            $listed[] = ['what' => 'rough', 'course' => $course];
        }
        foreach ($this->orders as $course => $order) {
            $listed[] = ['what' => 'run_order', 'course' => $course, 'value' => $order->value];
        }
        if ($this->focus !== null) {
            $listed[] = ['what' => 'focus_words', 'value' => $this->focus];
        }
        if ($this->principles !== null) {
            $listed[] = ['what' => 'focus', 'principles' => $this->principles];
        }

        return $listed;
    }

    public function isEmpty(): bool
    {
        return $this == new self;
    }
}
