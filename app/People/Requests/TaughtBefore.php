<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use DateTimeImmutable;
use Gorvan\Core\Form\Passage;

/** What a group was taught before it was kept here. */
final readonly class TaughtBefore implements Sent
{
    /**
     * @param  int|null  $to  from the first entry to this one
     * @param  list<TaughtPassage>|null  $passages
     */
    public function __construct(
        #[Rules('ulid')]
        public string $id,
        public DateTimeImmutable $at,
        #[Rules('required_without:passages', 'min:1', 'max:2147483647')]
        public ?int $to = null,
        #[Rules('min:1', 'max:300')]
        public ?array $passages = null,
        #[Rules('date_format:Y-m-d')]
        public ?string $on = null,
    ) {
    }

    /** @return non-empty-list<Passage> in the order of the form */
    public function inOrder(): array
    {
        $passages = array_map(static fn (TaughtPassage $one): Passage => new Passage($one->from, $one->to), $this->passages ?? []);
        usort($passages, static fn (Passage $a, Passage $b): int => $a->from <=> $b->from);

        return $passages === [] ? [new Passage(1, $this->to ?? 1)] : $passages;
    }
}
