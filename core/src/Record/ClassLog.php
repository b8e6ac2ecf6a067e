<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

use DateTimeImmutable;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\NotAllowed;
use stdClass;

/**
 * What a class did hold, `gorvan.log/1`: one fact, made on the device, never edited. The contacts of memory are read
 * out of it; nothing else is stored of them.
 *
 * @phpstan-type Data array{format: string, id: string, meeting?: string, on: string, made_at: string, minutes?: float, present: list<string>, careful?: list<string>, guests?: list<Guest>, late?: array<string, float>, left?: array<string, float>, did: list<Doing>, first_next?: list<string>, note?: string, replaces?: string}
 */
final readonly class ClassLog
{
    public const FORMAT = 'gorvan.log/1';

    public const KEYS = ['format', 'id', 'meeting', 'on', 'made_at', 'minutes', 'present', 'careful', 'guests', 'late', 'left', 'did', 'first_next', 'note', 'replaces'];

    private const MOST_STUDENTS = 400;

    private const MOST_DOINGS = 200;

    /**
     * @param  string|null  $meeting  null for what was taught before there was one
     * @param  string  $on  the meeting's day `Y-m-d`, to which its facts are dated
     * @param  list<string>  $present  students and guests
     * @param  list<string>  $careful  who was to take care tonight
     * @param  list<Guest>  $guests
     * @param  array<string, float>  $late  minutes after the start at which a student came
     * @param  array<string, float>  $left  minutes after the start at which a student went
     * @param  list<Doing>  $did  in the order in which it was done
     * @param  list<string>  $firstNext  entries to begin with next time
     * @param  string|null  $replaces  id of the log it is made instead of
     * @param  array<string, mixed>  $others
     */
    public function __construct(
        public string $id,
        public ?string $meeting,
        public string $on,
        public DateTimeImmutable $madeAt,
        public ?float $minutes,
        public array $present,
        public array $did,
        public array $careful = [],
        public array $guests = [],
        public array $late = [],
        public array $left = [],
        public array $firstNext = [],
        public ?string $note = null,
        public ?string $replaces = null,
        public array $others = [],
    ) {
    }

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(JsonNode $node): self
    {
        $format = $node->required('format');
        if ($format->text() !== self::FORMAT) {
            throw NotAllowed::format($format->path, self::FORMAT);
        }

        return new self(
            $node->required('id')->text(Fields::SHORT),
            $node->optional('meeting')?->text(Fields::SHORT),
            Instant::day($node->required('on')),
            Instant::read($node->required('made_at')),
            $node->optional('minutes')?->number(0, 1440),
            Fields::ids($node->required('present')),
            array_map(Doing::read(...), $node->required('did')->itemsAtMost(self::MOST_DOINGS)),
            Fields::ids($node->optional('careful')),
            array_map(Guest::read(...), $node->optional('guests')?->itemsAtMost(self::MOST_STUDENTS) ?? []),
            self::times($node->optional('late')),
            self::times($node->optional('left')),
            Fields::ids($node->optional('first_next')),
            $node->optional('note')?->text(Fields::LONG),
            $node->optional('replaces')?->text(Fields::SHORT),
            $node->others(self::KEYS),
        );
    }

    /**
     * The same log with what the page may leave out.
     *
     * @param  list<Doing>  $did
     * @param  list<Guest>  $guests
     */
    public function completed(string $meeting, array $did, array $guests): self
    {
        return new self($this->id, $meeting, $this->on, $this->madeAt, $this->minutes, $this->present, $did, $this->careful, $guests, $this->late, $this->left, $this->firstNext, $this->note, $this->replaces, $this->others);
    }

    /**
     * The same log with what of its run-throughs was only followed along: what was not taught by then, nor in this class.
     *
     * @param  array<string, true>  $taught  `form/entry` taught before this class
     */
    public function withFollowed(array $taught): self
    {
        $known = $taught;
        foreach ($this->taught() as [$form, $entry]) {
            $known["$form/$entry"] = true;
        }
        $did = [];
        foreach ($this->did as $doing) {
            array_push($did, ...($doing->what === DoingKind::RunThrough ? $doing->parted($known) : [$doing]));
        }

        return new self($this->id, $this->meeting, $this->on, $this->madeAt, $this->minutes, $this->present, $did, $this->careful, $this->guests, $this->late, $this->left, $this->firstNext, $this->note, $this->replaces, $this->others);
    }

    /** Whether another log says the same, however what it ran through was parted when it was kept. */
    public function saysTheSameAs(self $other): bool
    {
        return $this->whole() === $other->whole();
    }

    /** The log with each run-through and what was followed along in it as one. */
    private function whole(): string
    {
        $did = [];
        $run = null; // the run-through that stands last, with its entries
        foreach ($this->did as $doing) {
            if ($doing->what === DoingKind::Followed && $run !== null && $run[0]->form === $doing->form && $doing->minutes === null) {
                $run[1] = [...$run[1], ...$doing->entries];

                continue;
            }
            $did[] = $run === null ? null : self::asOne(...$run);
            $isRun = $doing->what === DoingKind::RunThrough || $doing->what === DoingKind::Followed;
            $run = $isRun ? [$doing, $doing->entries] : null;
            $did[] = $isRun ? null : $doing->toData();
        }
        $did[] = $run === null ? null : self::asOne(...$run);
        $data = $this->toData();
        $data->did = array_values(array_filter($did));

        return json_encode($data, JSON_THROW_ON_ERROR);
    }

    /**
     * @param  list<string>  $entries
     * @return list<mixed>
     */
    private static function asOne(Doing $doing, array $entries): array
    {
        sort($entries);

        return ['run', $doing->form, $entries, $doing->minutes, $doing->note];
    }

    public function toData(): stdClass
    {
        $times = static fn (array $times): ?stdClass => $times === [] ? null : (object) $times;

        return Fields::beside([
            'format' => self::FORMAT,
            'id' => $this->id,
            ...get_object_vars(Fields::written(['meeting' => $this->meeting])),
            'on' => $this->on,
            'made_at' => $this->madeAt->format($this->madeAt->format('u') === '000000' ? 'Y-m-d\TH:i:sP' : 'Y-m-d\TH:i:s.vP'),
            ...get_object_vars(Fields::written(['minutes' => $this->minutes])),
            'present' => $this->present,
            ...get_object_vars(Fields::written([
                'careful' => $this->careful,
                'guests' => array_map(static fn (Guest $guest): stdClass => $guest->toData(), $this->guests),
                'late' => $times($this->late),
                'left' => $times($this->left),
            ])),
            'did' => array_map(static fn (Doing $doing): stdClass => $doing->toData(), $this->did),
            ...get_object_vars(Fields::written(['first_next' => $this->firstNext, 'note' => $this->note, 'replaces' => $this->replaces])),
        ], $this->others);
    }

    public function json(): string
    {
        return json_encode($this->toData(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /**
     * What the class was for one student, one contact a doing and subject: nothing for who was not there, and nothing of
     * a doing that ended before the student came or began after the student went.
     *
     * @return list<Contact>
     */
    public function contactsOf(string $student): array
    {
        if (! in_array($student, $this->there(), true)) {
            return [];
        }
        $contacts = [];
        $start = 0.0;
        foreach ($this->did as $doing) {
            $end = $start + ($doing->minutes ?? 0.0);
            $kind = $doing->what->contact();
            if ($kind !== null && ($doing->students === null || in_array($student, $doing->students, true)) && ! $this->wasAway($student, $start, $end)) {
                foreach ($doing->entries as $entry) {
                    $contacts[] = new Contact($kind, SubjectKind::Entry, $doing->form, $entry, $doing->side);
                }
                foreach ($doing->principles as $principle) {
                    $contacts[] = new Contact($kind, SubjectKind::Principle, null, $principle, null);
                }
            }
            $start = $end;
        }

        return $contacts;
    }

    /** @return list<string> everyone who was there, guests too */
    public function there(): array
    {
        return array_values(array_unique([...$this->present, ...array_map(static fn (Guest $guest): string => $guest->id, $this->guests)]));
    }

    /**
     * What the group was taught.
     *
     * @return list<array{?string, string}> form and entry
     */
    public function taught(): array
    {
        $taught = [];
        foreach ($this->did as $doing) {
            foreach ($doing->what->teaches() ? $doing->entries : [] as $entry) {
                $taught[] = [$doing->form, $entry];
            }
        }

        return $taught;
    }

    /** Away from the whole of what lasted from one minute to another; what has no length is a moment. */
    private function wasAway(string $student, float $start, float $end): bool
    {
        $came = $this->late[$student] ?? 0.0;
        $went = $this->left[$student] ?? INF;

        return $went <= $start || ($end > $start ? $came >= $end : $came > $start);
    }

    /** @return array<string, float> */
    private static function times(?JsonNode $node): array
    {
        if ($node === null) {
            return [];
        }
        $times = [];
        foreach (get_object_vars($node->object()) as $student => $minutes) {
            $times[(string) $student] = JsonNode::of($minutes, "$node->path.$student")->number(0, 1440);
        }

        return $times;
    }
}
