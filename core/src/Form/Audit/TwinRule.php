<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Kinship;
use Gorvan\Core\Form\KinshipReader;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\Message;

/** `twin`: two entries with the same title that do not say they are the same movement, or its other side. */
final class TwinRule implements FindingRule
{
    public function findings(Form $form): array
    {
        $roots = Identities::of($form);
        $kin = [];
        foreach ((new KinshipReader)->suppose($form->entries) as $one) {
            $kin[$one->position] = $one;
        }
        $findings = [];
        $first = []; // "title" => [root, position] of the first of each movement with that title
        foreach ($form->entries as $at => $entry) {
            $title = KinshipReader::plain($entry->title);
            $twin = null;
            foreach ($first[$title] ?? [] as $root => $position) {
                $twin = $root === $roots[$at] ? 0 : ($twin ?? $position);
                if ($twin === 0) {
                    break;
                }
            }
            // One that says what it is the same as has said it, whatever else has its title.
            if ($twin !== null && $twin !== 0 && $entry->returns === null && $entry->mirrors === null) {
                $findings[] = $this->finding($form, $at + 1, $twin, $kin[$at + 1] ?? null);
            }
            $first[$title][$roots[$at]] ??= $at + 1;
        }

        return $findings;
    }

    private function finding(Form $form, int $position, int $twin, ?Kinship $kin): Finding
    {
        $entry = $form->at($position);
        $isMirror = $kin === null ? self::areOpposite($form, $position, $twin) : $kin->isMirror;
        $to = $form->at($kin->to ?? $twin);
        $name = $to->number ?? ($kin->to ?? $twin);

        return new Finding(
            FindingCode::Twin,
            $position,
            Severity::Doubt,
            Message::of('finding.twin.silent', position: $position, other: $twin, title: $entry->title),
            Mend::entry(
                Message::of($isMirror ? 'mend.mirrors' : 'mend.returns', number: $name),
                $entry->id,
                $isMirror ? ['mirrors' => $to->id, 'returns' => null] : ['returns' => $to->id],
            ),
            [$twin, $position],
        );
    }

    private static function areOpposite(Form $form, int $position, int $twin): bool
    {
        $sides = [$form->at($position)->side, $form->at($twin)->side];

        return in_array(Side::Left, $sides, true) && in_array(Side::Right, $sides, true);
    }
}
