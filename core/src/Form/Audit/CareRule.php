<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Care\Strain;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Straining;
use Gorvan\Core\Reading\Message;

/**
 * `care`: a deep bend, one-legged stance, neck circle, fold or fast turn with no caution.
 *
 * What strains is read by {@see Straining}.
 */
final readonly class CareRule implements FindingRule
{
    public function __construct(private Straining $straining = new Straining)
    {
    }

    public function findings(Form $form): array
    {
        $findings = [];
        foreach ($form->entries as $at => $entry) {
            $strains = $entry->cautions === [] ? $this->straining->of($entry) : [];
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
}
