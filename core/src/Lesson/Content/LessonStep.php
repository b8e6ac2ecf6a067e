<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Content;

use Gorvan\Core\Cue\CueFading;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * One pass through a lesson: who moves, how much is still cued, and what the teacher says of it.
 *
 * @phpstan-type Data array{mode: StepMode, cues: CueFading, text?: string}
 */
final readonly class LessonStep implements Written
{
    public const KEYS = ['mode', 'cues', 'text'];

    /** @param  array<string, mixed>  $others */
    public function __construct(public StepMode $mode, public CueFading $cues, public ?string $text = null, public array $others = [])
    {
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            $node->required('mode')->oneOf(StepMode::class),
            $node->optional('cues')?->oneOf(CueFading::class) ?? CueFading::All,
            $node->optional('text')?->text(Fields::LONG),
            $node->others(self::KEYS),
        );
    }

    public function toData(): stdClass
    {
        return Fields::written(['mode' => $this->mode->value, 'cues' => $this->cues->value, 'text' => $this->text], $this->others);
    }
}
