<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\PostureState;
use Gorvan\Core\Form\Tokens;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Repeated;
use stdClass;

/** Where the principles of a set bite in one form. Immutable; a principle and an entry meet at most once. */
final readonly class Bites
{
    /** More than a set of sixty joined to every entry of a long form would need a page of its own. */
    public const MOST = 12_000;

    /** @param  list<Bite>  $all */
    public function __construct(public array $all = [])
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(?JsonNode $node): self
    {
        $all = $seen = [];
        foreach ($node?->itemsAtMost(self::MOST) ?? [] as $one) {
            $bite = Bite::read($one);
            $key = "$bite->principle\0$bite->entry";
            if (isset($seen[$key])) {
                throw Repeated::inList($one->path, "$bite->principle / $bite->entry");
            }
            $seen[$key] = true;
            $all[] = $bite;
        }

        return new self($all);
    }

    /** @return list<stdClass> */
    public function toData(): array
    {
        return array_map(static fn (Bite $bite): stdClass => $bite->toData(), $this->all);
    }

    public function at(string $principle, string $entry): ?Bite
    {
        foreach ($this->all as $bite) {
            if ($bite->is($principle, $entry)) {
                return $bite;
            }
        }

        return null;
    }

    /**
     * One principle in some entries, as one sweep of the hand.
     *
     * @param  list<string>  $entries
     * @param  int|null  $strength  null to take the bites out
     * @param  string|null  $note  null to leave each note as it is, empty to take it out
     */
    public function swept(string $principle, array $entries, ?int $strength, ?string $note = null): self
    {
        $swept = array_fill_keys($entries, true);
        $all = [];
        foreach ($this->all as $bite) {
            if ($bite->principle === $principle && isset($swept[$bite->entry])) {
                unset($swept[$bite->entry]);
                if ($strength === null) {
                    continue;
                }
                $bite = new Bite($principle, $bite->entry, $strength, $note === null ? $bite->note : ($note === '' ? null : $note), $bite->others);
            }
            $all[] = $bite;
        }
        if ($strength !== null) {
            foreach (array_keys($swept) as $entry) {
                $all[] = new Bite($principle, (string) $entry, $strength, $note === '' ? null : $note);
            }
        }

        return new self($all);
    }

    /**
     * With a bite wherever an entry holds a posture state that a principle defines: as strong as there are states it shares,
     * three at most. What is joined already stays as it is.
     */
    public function fromStates(PrincipleSet $set, Form $form): self
    {
        $all = $this;
        foreach ($set->principles as $principle) {
            foreach ($form->entries as $entry) {
                $shared = array_filter($entry->states, static fn (PostureState $state): bool => $state->principle === $principle->id || self::defines($principle, $state));
                if ($shared !== [] && $all->at($principle->id, $entry->id) === null) {
                    $all = $all->swept($principle->id, [$entry->id], min(Bite::STRONGEST, count($shared)));
                }
            }
        }

        return $all;
    }

    /** With what an entry shows copied to those that return to it or mirror it; what is joined already stays as it is. */
    public function copied(Form $form): self
    {
        $all = $this->all;
        $seen = [];
        foreach ($all as $bite) {
            $seen["$bite->principle\0$bite->entry"] = true;
        }
        // In the form's order, so that what returns to something that mirrors is reached too.
        foreach ($form->entries as $entry) {
            $from = $entry->returns ?? $entry->mirrors;
            foreach ($from === null ? [] : $all as $bite) {
                $key = "$bite->principle\0$entry->id";
                if ($bite->entry === $from && ! isset($seen[$key])) {
                    $seen[$key] = true;
                    $all[] = new Bite($bite->principle, $entry->id, $bite->strength, self::turned($entry, $bite->note));
                }
            }
        }

        return new self($all);
    }

    /** Those of principles and entries that are there; the others stay in the file and are not used. */
    public function within(PrincipleSet $set, Form $form): self
    {
        return new self(array_values(array_filter($this->all, static fn (Bite $bite): bool => $set->principle($bite->principle) !== null && $form->positionOf($bite->entry) !== null)));
    }

    /** @return list<Bite> */
    public function of(string $principle): array
    {
        return array_values(array_filter($this->all, static fn (Bite $bite): bool => $bite->principle === $principle));
    }

    private static function defines(Principle $principle, PostureState $state): bool
    {
        foreach ($principle->states as $own) {
            if ($own->part === $state->part && $own->state === $state->state) {
                return true;
            }
        }

        return false;
    }

    private static function turned(Entry $entry, ?string $note): ?string
    {
        return $note === null || $entry->returns !== null ? $note : Tokens::sidesSwapped(Tokens::swapped($note));
    }
}
