<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Content;

use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Care\Spared;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Repeated;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * A drill for two: the entry it comes from, how they touch, and the steps by which pressure is raised. Only the last step may
 * have a limit of time, of 2 to 5 seconds (*practice*). Both are asked whether they want to, and the safety rule stands with
 * every step: hands up, tap out, stop at once.
 *
 * @phpstan-type Data array{entry: string, contact?: string, limit?: float, steps: list<PartnerStep>, not_for: list<Consideration>}
 */
final readonly class PartnerDrill implements Written
{
    public const KEYS = ['entry', 'contact', 'steps', 'limit', 'not_for'];

    private const LEAST_LIMIT = 2.0;

    private const MOST_LIMIT = 5.0;

    /**
     * @param  string  $entry  id of the entry it comes from
     * @param  list<PartnerStep>  $steps  each with more pressure than the one before
     * @param  float|null  $limit  seconds, at the last step
     * @param  list<Consideration>  $notFor  whoever has one of these does not take part
     * @param  array<string, mixed>  $others
     */
    public function __construct(public string $entry, public ?string $contact, public array $steps, public ?float $limit, public array $notFor, public array $others = [])
    {
    }

    /**
     * By default not for these (engine 17), nor for whoever is careful tonight.
     *
     * @return list<Consideration>
     */
    public static function usuallyNotFor(): array
    {
        return [Consideration::FirstTime, Consideration::Dizziness, Consideration::Balance, Consideration::Neck, Consideration::BreathOrHeart, Consideration::Pregnancy, Consideration::RecentSurgery];
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        $notFor = $node->optional('not_for');
        $steps = Fields::each($node->required('steps'), PartnerStep::read(...));
        foreach ($steps as $at => $step) {
            if (count(array_keys(array_column($steps, 'id'), $step->id, true)) > 1) {
                throw Repeated::inList("$node->path.steps[$at].id", $step->id);
            }
        }

        return new self(
            $node->required('entry')->text(Fields::SHORT),
            $node->optional('contact')?->text(),
            $steps,
            $node->optional('limit')?->number(self::LEAST_LIMIT, self::MOST_LIMIT),
            $notFor === null ? self::usuallyNotFor() : Fields::each($notFor, static fn (JsonNode $one): Consideration => $one->oneOf(Consideration::class)),
            $node->others(self::KEYS),
        );
    }

    /** Seconds a step is given, or null where it takes what it takes: pressure comes before speed. */
    public function limitOf(int $step): ?float
    {
        return $step === count($this->steps) - 1 ? $this->limit : null;
    }

    /** Whether somebody may take part, once they were asked. */
    public function isFor(Spared $spared): bool
    {
        return ! $spared->isCareful && array_filter($this->notFor, $spared->has(...)) === [];
    }

    public function toData(): stdClass
    {
        return Fields::written([
            'entry' => $this->entry,
            'contact' => $this->contact,
            'limit' => $this->limit,
        ], ['steps' => array_map(static fn (PartnerStep $step): stdClass => $step->toData(), $this->steps), 'not_for' => array_map(static fn (Consideration $one): string => $one->value, $this->notFor)] + $this->others);
    }
}
