<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

/**
 * Matches what a student spares with the cautions of what is done, and with what it asks of a body (engine 12). A caution that
 * belongs to one way of doing a movement says nothing of the others.
 */
final class CareRule
{
    /**
     * @param  list<Caution>  $cautions  for every way of doing it
     * @param  list<Strain>  $strains
     * @param  array<string, list<Caution>>  $variants  cautions of single ways of doing it, by their titles
     * @return list<CareAdvice> the strictest first, then what has no caution
     */
    public static function of(Spared $spared, array $cautions, array $strains = [], array $variants = []): array
    {
        $advice = $covered = [];
        foreach (['' => $cautions, ...$variants] as $variant => $of) {
            foreach ($of as $caution) {
                if ($spared->has($caution->for)) {
                    $advice[] = new CareAdvice($caution->do, $caution->for, [], $variant === '' ? null : (string) $variant, $caution->text);
                    $covered[$caution->for->value] = true;
                }
            }
        }
        // Sorting keeps the order in which they are written where two are as strict.
        usort($advice, static fn (CareAdvice $a, CareAdvice $b): int => [$a->variant !== null, $a->do?->rank()] <=> [$b->variant !== null, $b->do?->rank()]);
        foreach ($spared->considerations as $for) {
            $asking = array_values(array_filter($strains, static fn (Strain $strain): bool => in_array($for, $strain->asksOf(), true)));
            if ($asking !== [] && ! isset($covered[$for->value])) {
                $advice[] = new CareAdvice(null, $for, $asking);
            }
        }

        return $advice;
    }
}
