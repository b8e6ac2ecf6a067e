<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle;

use Gorvan\Core\Form\CommonError;
use Gorvan\Core\Form\PostureState;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * Something a student is to keep true in every movement. Immutable.
 *
 * @phpstan-type Data array{id: string, title: string, family?: string|null, says?: string|null, look?: list<string>, errors?: list<CommonError>, after?: list<string>, states?: list<object>}
 */
final readonly class Principle implements Written
{
    public const KEYS = ['id', 'title', 'family', 'says', 'look', 'errors', 'after', 'states'];

    /**
     * @param  string|null  $says  what it asks for, in the school's own words
     * @param  list<string>  $look  what an observer can see
     * @param  list<CommonError>  $errors
     * @param  list<string>  $after  ids of the principles that come before it
     * @param  list<PostureState>  $states  of the parts of the body that it defines
     * @param  array<string, mixed>  $others
     */
    public function __construct(
        public string $id,
        public string $title,
        public ?string $family = null,
        public ?string $says = null,
        public array $look = [],
        public array $errors = [],
        public array $after = [],
        public array $states = [],
        public array $others = [],
    ) {
    }

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(JsonNode $node): self
    {
        return new self(
            $node->required('id')->text(Fields::SHORT),
            $node->required('title')->text(),
            $node->optional('family')?->text(),
            $node->optional('says')?->text(Fields::LONG),
            Fields::texts($node->optional('look')),
            Fields::each($node->optional('errors'), CommonError::read(...)),
            array_values(array_unique(Fields::ids($node->optional('after')))),
            Fields::each($node->optional('states'), PostureState::read(...)),
            $node->others(self::KEYS),
        );
    }

    public function toData(): stdClass
    {
        return Fields::written([
            'id' => $this->id,
            'title' => $this->title,
            'family' => $this->family,
            'says' => $this->says,
            'look' => $this->look,
            'errors' => array_map(static fn (CommonError $error): stdClass => $error->toData(), $this->errors),
            'after' => $this->after,
            'states' => array_map(static fn (PostureState $state): stdClass => $state->toData(), $this->states),
        ], $this->others);
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
}
