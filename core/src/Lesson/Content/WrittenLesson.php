<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Content;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Cue\CueView;
use Gorvan\Core\Form\CommonError;
use Gorvan\Core\Form\Variant;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * A lesson as a teacher keeps it (`gorvan.lessons/1`): its entries, its kind, and the words that are added to what the form
 * says. Everything the form says is read from the form, and is not in here. Immutable.
 *
 * @phpstan-type Data array{id: string, title?: string, kind: TeachingKind, entries: list<string>, note?: string, bite?: string, steps?: list<LessonStep>, views?: list<CueView>, checks?: list<string>, errors?: list<CommonError>, cautions?: list<Caution>, variants?: list<Variant>, drills?: list<Drill>, run_from?: string, partner?: PartnerDrill}
 */
final readonly class WrittenLesson implements Written
{
    public const KEYS = ['id', 'title', 'kind', 'entries', 'note', 'bite', 'steps', 'views', 'checks', 'errors', 'cautions', 'variants', 'drills', 'run_from', 'partner'];

    /**
     * @param  list<string>  $entries  ids, in the order of the form
     * @param  string|null  $bite  what is different about it, in the teacher's words
     * @param  list<LessonStep>|null  $steps  null for the usual ones of its kind
     * @param  list<CueView>  $views  from where it is shown
     * @param  list<string>  $checks  beside those of the entries; errors, cautions and variants likewise
     * @param  list<CommonError>  $errors
     * @param  list<Caution>  $cautions
     * @param  list<Variant>  $variants
     * @param  list<Drill>  $drills  that lead up to it
     * @param  string|null  $runFrom  id of the entry from which it is run through; null for the section's start
     * @param  array<string, mixed>  $others
     */
    public function __construct(
        public string $id,
        public array $entries,
        public TeachingKind $kind = TeachingKind::Fresh,
        public ?string $title = null,
        public ?string $note = null,
        public ?string $bite = null,
        public ?array $steps = null,
        public array $views = [],
        public array $checks = [],
        public array $errors = [],
        public array $cautions = [],
        public array $variants = [],
        public array $drills = [],
        public ?string $runFrom = null,
        public ?PartnerDrill $partner = null,
        public array $others = [],
    ) {
    }

    /** @throws BadInput with the JSON path */
    public static function read(JsonNode $node): self
    {
        $steps = $node->optional('steps');
        $partner = $node->optional('partner');
        $drills = Fields::each($node->optional('drills'), Drill::read(...));
        LeadUps::of($drills);

        return new self(
            $node->required('id')->text(Fields::SHORT),
            Fields::ids($node->required('entries')),
            $node->optional('kind')?->oneOf(TeachingKind::class) ?? TeachingKind::Fresh,
            $node->optional('title')?->text(),
            $node->optional('note')?->text(Fields::LONG),
            $node->optional('bite')?->text(Fields::LONG),
            $steps === null ? null : Fields::each($steps, LessonStep::read(...)),
            array_values(array_unique(Fields::each($node->optional('views'), static fn (JsonNode $one): CueView => $one->oneOf(CueView::class)), SORT_REGULAR)),
            Fields::texts($node->optional('checks')),
            Fields::each($node->optional('errors'), CommonError::read(...)),
            Fields::each($node->optional('cautions'), Caution::read(...)),
            Fields::each($node->optional('variants'), Variant::read(...)),
            $drills,
            $node->optional('run_from')?->text(Fields::SHORT),
            $partner === null ? null : PartnerDrill::read($partner),
            $node->others(self::KEYS),
        );
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

    public function toData(): stdClass
    {
        return Fields::written([
            'id' => $this->id,
            'title' => $this->title,
            'kind' => $this->kind->value,
            'note' => $this->note,
            'bite' => $this->bite,
            'views' => array_map(static fn (CueView $view): string => $view->value, $this->views),
            'checks' => $this->checks,
            'errors' => self::parts($this->errors),
            'cautions' => self::parts($this->cautions),
            'variants' => self::parts($this->variants),
            'drills' => self::parts($this->drills),
            'run_from' => $this->runFrom,
            'partner' => $this->partner?->toData(),
        ], ['entries' => $this->entries] + ($this->steps === null ? [] : ['steps' => self::parts($this->steps)]) + $this->others);
    }

    /**
     * @param  list<Written>  $parts
     * @return list<stdClass>
     */
    private static function parts(array $parts): array
    {
        return array_map(static fn (Written $part): stdClass => $part->toData(), $parts);
    }

    public function json(): string
    {
        return json_encode($this->toData(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
