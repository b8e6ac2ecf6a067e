<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle\Edit;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Principle\Bite;
use Gorvan\Core\Principle\Bites;
use Gorvan\Core\Principle\PrincipleSet;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Gone;
use Gorvan\Core\Reading\JsonNode;

/**
 * One change to where principles bite in a form: swept by hand, filled from posture states, copied to kin, or put back as it was.
 *
 * @phpstan-type Data array{what: BiteEditKind, principle?: string, entries?: list<string>, strength?: int|null, note?: string|null, bites?: list<Bite>}
 */
final readonly class BiteEdit
{
    private function __construct(private JsonNode $node)
    {
    }

    public static function read(JsonNode $node): self
    {
        return new self($node);
    }

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path, and nothing is changed */
    public function on(Bites $bites, PrincipleSet $set, Form $form): Bites
    {
        return match ($this->node->required('what')->oneOf(BiteEditKind::class)) {
            BiteEditKind::Sweep => $this->swept($bites, $set, $form),
            BiteEditKind::States => $bites->fromStates($set, $form),
            BiteEditKind::Copy => $bites->copied($form),
            BiteEditKind::Put => Bites::read($this->node->required('bites')),
        };
    }

    private function swept(Bites $bites, PrincipleSet $set, Form $form): Bites
    {
        $principle = $this->node->required('principle');
        $entries = $this->node->required('entries');
        $set->principle($principle->text()) ?? throw Gone::principle($principle->path, $principle->text());
        foreach ($entries->itemsAtMost(Fields::MOST_IDS) as $entry) {
            $form->positionOf($entry->text()) ?? throw Gone::entry($entry->text());
        }
        $note = $this->node->object()->note ?? null;

        return $bites->swept(
            $principle->text(),
            Fields::ids($entries),
            $this->node->optional('strength')?->whole(1, Bite::STRONGEST),
            $note === null || $note === '' ? $note : JsonNode::of($note, "{$this->node->path}.note")->text(Fields::LONG),
        );
    }
}
