<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

use JsonSerializable;

/**
 * Something to be said to a person: the code of a sentence, and what it is said with. The words stand in the message
 * catalogue (resources/messages), which the pages and the shell both read; core builds no sentence.
 *
 * A value is a number, a text that comes from the person's own data, a list of positions (said as ranges), another
 * message, or a list of messages or texts (said one after the other). `count` chooses between singular and plural.
 */
final readonly class Message implements JsonSerializable
{
    /** @param  array<string, mixed>  $with  by the names that stand in the sentence */
    private function __construct(public string $code, public array $with)
    {
    }

    /** @param  int|float|string|self|list<int|string|self>  ...$with  named as in the sentence */
    public static function of(string $code, int|float|string|self|array ...$with): self
    {
        $named = [];
        foreach ($with as $name => $value) {
            $named[(string) $name] = $value;
        }

        return new self($code, $named);
    }

    /** As {@see toData()} wrote it. @throws BadInput */
    public static function read(JsonNode $node): self
    {
        $with = [];
        $values = $node->optional('with');
        // Some writers make a list of an object that is empty.
        foreach ($values === null || $values->value === [] ? [] : $values->others([]) as $name => $value) {
            $with[$name] = self::value(JsonNode::of($value, "$node->path.with.$name"));
        }

        return new self($node->required('code')->text(), $with);
    }

    private static function value(JsonNode $node): mixed
    {
        return match (true) {
            $node->value instanceof \stdClass => self::read($node),
            is_array($node->value) => array_map(self::value(...), $node->items()),
            default => $node->value,
        };
    }

    /** @return array{code: string, with: object} as JSON carries it */
    public function toData(): array
    {
        return ['code' => $this->code, 'with' => (object) array_map(self::data(...), $this->with)];
    }

    /** @return array{code: string, with: object} */
    public function jsonSerialize(): array
    {
        return $this->toData();
    }

    private static function data(mixed $value): mixed
    {
        return match (true) {
            $value instanceof self => $value->toData(),
            is_array($value) => array_map(self::data(...), $value),
            default => $value,
        };
    }
}
