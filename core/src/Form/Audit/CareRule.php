<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Care\Strain;
use Gorvan\Core\Form\Depth;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;

/**
 * `care`: a deep bend, one-legged stance, neck circle, fold or fast turn with no caution.
 *
 * An entry says so in `strains`, by `one_leg`, by a low variant without a caution of its own, or by a turn of 180
 * degrees or more within one breath (*default*). Titles are names and are not searched.
 */
final readonly class CareRule implements FindingRule
{
    public function __construct(public float $fastTurn = 180.0, public float $fastBreaths = 1.0)
    {
    }

    public function findings(Form $form): array
    {
        $findings = [];
        foreach ($form->entries as $at => $entry) {
            $strains = $entry->cautions === [] ? $this->strains($entry) : [];
            if ($strains === []) {
                continue;
            }
            $cautions = [];
            foreach ($strains as $strain) {
                $cautions[$strain->usualCaution()->for->value] ??= $strain->usualCaution();
            }
            $findings[] = new Finding(
                FindingCode::Care,
                $at + 1,
                Severity::Doubt,
                Message::of('finding.care.none', position: $at + 1, title: $entry->title, strains: array_map(static fn (Strain $strain): Message => Message::of("strain.$strain->value"), $strains)),
                Mend::entry(
                    Message::of('mend.caution', cautions: array_map(static fn (Caution $caution): Message => Message::of('caution.words', for: Message::of("consideration.{$caution->for->value}"), do: Message::of("adaptation.{$caution->do->value}")), array_values($cautions))),
                    $entry->id,
                    ['cautions' => array_map(static fn (Caution $caution): object => $caution->toData(), array_values($cautions))],
                ),
            );
        }

        return $findings;
    }

    /** @return list<Strain> */
    private function strains(Entry $entry): array
    {
        $low = false;
        foreach ($entry->variants as $variant) {
            $low = $low || ($variant->depth === Depth::Low && $variant->cautions === []);
        }
        $strains = $entry->strains;
        foreach ([
            [Strain::OneLeg, $entry->oneLeg === true],
            [Strain::DeepBend, $low],
            [Strain::FastTurn, abs($entry->turn ?? 0.0) >= $this->fastTurn && $entry->breaths !== null && $entry->breaths <= $this->fastBreaths],
        ] as [$strain, $applies]) {
            if ($applies && ! in_array($strain, $strains, true)) {
                $strains[] = $strain;
            }
        }

        return $strains;
    }
}
