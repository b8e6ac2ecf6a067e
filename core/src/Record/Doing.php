<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\NotAllowed;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * One thing that was done in a class, in its place in the list.
 *
 * @phpstan-type Data array{what: DoingKind, form?: string, entries?: list<string>, side?: Side, minutes?: float, passes?: int, students?: list<string>, principles?: list<string>, at?: string, from?: string, to?: string, box?: string, note?: string, order?: RunOrder, slack?: float, as_planned?: bool}
 */
final readonly class Doing implements Written
{
    public const KEYS = ['what', 'form', 'entries', 'side', 'minutes', 'passes', 'students', 'principles', 'at', 'from', 'to', 'box', 'note', 'order', 'slack', 'as_planned'];

    /**
     * @param  string|null  $form  whose entries are meant; null where the term has one course
     * @param  list<string>  $entries  by id in the form, in its order
     * @param  Side|null  $side  left or right
     * @param  float|null  $minutes  how long it took
     * @param  int|null  $passes  how often it was gone through
     * @param  list<string>|null  $students  some of those present, null for all
     * @param  list<string>  $principles  by id
     * @param  string|null  $at  entry where the class started again
     * @param  string|null  $from  entry from which, and `to` to which, a join was improvised
     * @param  string|null  $box  that was left out
     * @param  array<string, mixed>  $others
     * @param  RunOrder|null  $order  of a run-through, where it was not as written
     * @param  float|null  $slack  minutes that were over and went to it; none of them is among its minutes
     * @param  bool  $isAsPlanned  its minutes are the plan's, and nobody measured them
     */
    public function __construct(
        public DoingKind $what,
        public ?string $form = null,
        public array $entries = [],
        public ?Side $side = null,
        public ?float $minutes = null,
        public ?int $passes = null,
        public ?array $students = null,
        public array $principles = [],
        public ?string $at = null,
        public ?string $from = null,
        public ?string $to = null,
        public ?string $box = null,
        public ?string $note = null,
        public array $others = [],
        public ?RunOrder $order = null,
        public ?float $slack = null,
        public bool $isAsPlanned = false,
    ) {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        $students = $node->optional('students');

        return new self(
            $node->required('what')->oneOf(DoingKind::class),
            $node->optional('form')?->text(Fields::SHORT),
            Fields::ids($node->optional('entries')),
            self::side($node->optional('side')),
            $node->optional('minutes')?->number(0, 1440),
            $node->optional('passes')?->whole(0, 99),
            $students === null ? null : Fields::ids($students),
            Fields::ids($node->optional('principles')),
            $node->optional('at')?->text(Fields::SHORT),
            $node->optional('from')?->text(Fields::SHORT),
            $node->optional('to')?->text(Fields::SHORT),
            $node->optional('box')?->text(Fields::SHORT),
            $node->optional('note')?->text(Fields::LONG),
            $node->others(self::KEYS),
            $node->optional('order')?->oneOf(RunOrder::class),
            $node->optional('slack')?->number(0, 1440),
            $node->optional('as_planned')?->bool() ?? false,
        );
    }

    /** The same doing, of a form. */
    public function of(?string $form): self
    {
        return new self($this->what, $form, $this->entries, $this->side, $this->minutes, $this->passes, $this->students, $this->principles, $this->at, $this->from, $this->to, $this->box, $this->note, $this->others, $this->order, $this->slack, $this->isAsPlanned);
    }

    /**
     * A run-through of what is known, and of what is only followed along.
     *
     * @param  array<string, true>  $known  `form/entry`
     * @return non-empty-list<self>
     */
    public function parted(array $known): array
    {
        $isKnown = fn (string $entry): bool => isset($known["$this->form/$entry"]);
        $new = array_values(array_filter($this->entries, static fn (string $entry): bool => ! $isKnown($entry)));
        if ($new === []) {
            return [$this];
        }
        $old = array_values(array_filter($this->entries, $isKnown));
        $followed = new self(DoingKind::Followed, $this->form, $new, $this->side, $old === [] ? $this->minutes : null, null, $this->students, note: $old === [] ? $this->note : null);

        return $old === [] ? [$followed] : [new self($this->what, $this->form, $old, $this->side, $this->minutes, $this->passes, $this->students, $this->principles, $this->at, $this->from, $this->to, $this->box, $this->note, $this->others, $this->order, $this->slack, $this->isAsPlanned), $followed];
    }

    public function toData(): stdClass
    {
        $data = Fields::written([
            'what' => $this->what->value,
            'form' => $this->form,
            'entries' => $this->entries,
            'side' => $this->side?->value,
            'minutes' => $this->minutes,
            'passes' => $this->passes,
            'principles' => $this->principles,
            'at' => $this->at,
            'from' => $this->from,
            'to' => $this->to,
            'box' => $this->box,
            'note' => $this->note,
            'order' => $this->order?->value,
            'slack' => $this->slack,
            'as_planned' => $this->isAsPlanned ?: null,
        ], $this->others);
        if ($this->students !== null) {
            $data->students = $this->students;
        }

        return $data;
    }

    private static function side(?JsonNode $node): ?Side
    {
        if ($node === null) {
            return null;
        }
        $side = $node->oneOf(Side::class);

        return $side === Side::Left || $side === Side::Right ? $side : throw NotAllowed::sideOnly($node->path);
    }
}
