<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\KinshipReader;

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
                    'Entry '.($at + 1).", \"$entry->title\", ".($key === 'returns' ? 'returns to ' : 'mirrors ').$wrong.'.',
                    self::mend($form, $entry, $at + 1, $key, $supposed),
                );
            }
        }

        return $findings;
    }

    private static function wrong(Form $form, string $id, int $position): ?string
    {
        $to = $form->positionOf($id);

        return match (true) {
            $to === null => "\"$id\", which is no entry of this form",
            $to === $position => 'itself',
            $to > $position => "entry $to, \"{$form->at($to)->title}\", which comes later",
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
                    ($kin->isMirror ? 'mirrors ' : 'returns to ').($to->number ?? $kin->to),
                    $entry->id,
                    [$key => null, $kin->isMirror ? 'mirrors' : 'returns' => $to->id],
                );
            }
        }

        return Mend::entry('take the reference out', $entry->id, [$key => null]);
    }
}
