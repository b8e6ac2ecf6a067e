<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** One repetition, or one side, is done differently: the 4th step ends differently, the 2nd side starts another way. */
final readonly class Difference implements Mirrored, Written
{
    public const KEYS = ['nth', 'of', 'how'];

    /**
     * @param  int  $nth  which one, from 1
     * @param  string|null  $how  null while nobody has said how
     * @param  array<string, mixed>  $others
     */
    public function __construct(public int $nth, public DifferenceOf $of = DifferenceOf::Repetitions, public ?string $how = null, public array $others = [])
    {
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            $node->required('nth')->whole(1, 999),
            $node->optional('of')?->oneOf(DifferenceOf::class) ?? DifferenceOf::Repetitions,
            $node->optional('how')?->text(Fields::LONG),
            $node->others(self::KEYS),
        );
    }

    public function mirrored(): static
    {
        return new self($this->nth, $this->of, Tokens::swappedIn($this->how), $this->others);
    }

    public function toData(): stdClass
    {
        return Fields::written(['nth' => $this->nth, 'of' => $this->of->value, 'how' => $this->how], $this->others);
    }
}
