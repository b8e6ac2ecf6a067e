<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\KinshipReader;
use Gorvan\Core\Reading\Message;

/** `reference`: `returns` and `mirrors` point to an earlier entry; so none can lead in a circle. */
final class ReferenceRule implements FindingRule
{
    public function findings(Form $form): array
    {
        $findings = [];
        $supposed = null;
        foreach ($form->entries as $at => $entry) {
            foreach (['returns' => $entry->returns, 'mirrors' => $entry->mirrors] as $key => $id) {
                $wrong = $id === null ? null : self::wrong($form, $id, $at + 1);
                if ($wrong === null) {
                    continue;
                }
                $supposed ??= (new KinshipReader)->suppose($form->entries);
                $findings[] = new Finding(
                    FindingCode::Reference,
                    $at + 1,
                    Severity::Error,
                    Message::of("finding.reference.$key", position: $at + 1, title: $entry->title, wrong: $wrong),
                    self::mend($form, $entry, $at + 1, $key, $supposed),
                );
            }
        }

        return $findings;
    }

    private static function wrong(Form $form, string $id, int $position): ?Message
    {
        $to = $form->positionOf($id);

        return match (true) {
            $to === null => Message::of('finding.reference.unknown', id: $id),
            $to === $position => Message::of('finding.reference.itself'),
            $to > $position => Message::of('finding.reference.later', position: $to, title: $form->at($to)->title),
            default => null,
        };
    }

    /** @param  list<\Gorvan\Core\Form\Kinship>  $supposed */
    private static function mend(Form $form, Entry $entry, int $position, string $key, array $supposed): Mend
    {
        foreach ($supposed as $kin) {
            if ($kin->position === $position) {
                $to = $form->at($kin->to);

                return Mend::entry(
                    Message::of($kin->isMirror ? 'mend.mirrors' : 'mend.returns', number: $to->number ?? $kin->to),
                    $entry->id,
                    [$key => null, $kin->isMirror ? 'mirrors' : 'returns' => $to->id],
                );
            }
        }

        return Mend::entry(Message::of('mend.no_reference'), $entry->id, [$key => null]);
    }
}
