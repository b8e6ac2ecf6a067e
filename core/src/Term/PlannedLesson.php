<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * What of a course is new at a meeting: entries by id, the lesson's place in the cut, from 1, and, where no evening takes it in
 * whole, which part of it this is.
 */
final readonly class PlannedLesson implements Written
{
    /**
     * @param  list<string>  $entries
     * @param  int|null  $part  from 1; null for a whole lesson
     * @param  int|null  $parts  of how many; null where they are not all planned yet
     */
    public function __construct(public array $entries, public LessonKind $kind = LessonKind::Fresh, public ?int $number = null, public ?int $part = null, public ?int $parts = null)
    {
    }

    public function of(?int $parts): self
    {
        return new self($this->entries, $this->kind, $this->number, $this->part, $parts);
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            Fields::ids($node->required('entries')),
            $node->optional('kind')?->oneOf(LessonKind::class) ?? LessonKind::Fresh,
            $node->optional('number')?->whole(1, 600),
            ...self::part($node->optional('part')),
        );
    }

    public function toData(): stdClass
    {
        $part = $this->part === null ? null : [$this->part, ...($this->parts === null ? [] : [$this->parts])];

        return (object) ['entries' => $this->entries, ...get_object_vars(Fields::written(['kind' => $this->kind->value, 'number' => $this->number, 'part' => $part]))];
    }

    /**
     * @return array{0?: int, 1?: int}
     *
     * @throws \Gorvan\Core\Reading\BadInput
     */
    private static function part(?JsonNode $node): array
    {
        return $node === null ? [] : array_map(static fn (JsonNode $one): int => $one->whole(1, 600), $node->itemsAtMost(2));
    }
}
