<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** What of a course is new at a meeting: entries by id, and the lesson's place in the cut, from 1. */
final readonly class PlannedLesson implements Written
{
    /** @param  list<string>  $entries */
    public function __construct(public array $entries, public LessonKind $kind = LessonKind::Fresh, public ?int $number = null)
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            Fields::ids($node->required('entries')),
            $node->optional('kind')?->oneOf(LessonKind::class) ?? LessonKind::Fresh,
            $node->optional('number')?->whole(1, 600),
        );
    }

    public function toData(): stdClass
    {
        return (object) ['entries' => $this->entries, ...get_object_vars(Fields::written(['kind' => $this->kind->value, 'number' => $this->number]))];
    }
}
