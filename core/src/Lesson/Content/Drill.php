<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Content;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * An exercise that leads up to an entry, and what must be known before it.
 *
 * @phpstan-type Data array{id: string, title: string, parent: string, after?: list<string>, text?: string}
 */
final readonly class Drill implements Written
{
    public const KEYS = ['id', 'title', 'parent', 'after', 'text'];

    /**
     * @param  string  $parent  id of the entry it leads up to
     * @param  list<string>  $after  drills and entries that must be known before, by id
     * @param  array<string, mixed>  $others
     */
    public function __construct(public string $id, public string $title, public string $parent, public array $after = [], public ?string $text = null, public array $others = [])
    {
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            $node->required('id')->text(Fields::SHORT),
            $node->required('title')->text(),
            $node->required('parent')->text(Fields::SHORT),
            Fields::ids($node->optional('after')),
            $node->optional('text')?->text(Fields::LONG),
            $node->others(self::KEYS),
        );
    }

    public function toData(): stdClass
    {
        return Fields::written(['id' => $this->id, 'title' => $this->title, 'parent' => $this->parent, 'after' => $this->after, 'text' => $this->text], $this->others);
    }
}
