<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Care\CareAdvice;
use Gorvan\Core\Care\CareRule;
use Gorvan\Core\Care\Spared;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Straining;

/**
 * How somebody does an entry at home (engine 12): what they would leave out in class stands on no sheet, the rest carries what
 * they do instead, and never why.
 */
final readonly class HomeCare
{
    /**
     * @param  list<Adaptation>  $do  the strictest first
     * @param  list<string>  $notIn  titles of ways of doing it that are left out
     * @param  bool  $asks  it strains, and nothing says what to do: to be asked about first
     */
    private function __construct(public bool $isLeftOut, public array $do, public array $notIn, public bool $asks)
    {
    }

    /** As somebody does it who spares nothing. */
    public static function none(): self
    {
        return new self(false, [], [], false);
    }

    public static function of(Spared $spared, Entry $entry, Straining $straining = new Straining): self
    {
        if ($spared->isNothing()) {
            return self::none();
        }
        $advice = CareRule::of($spared, $entry->cautions, $straining->of($entry), array_column($entry->variants, 'cautions', 'title'));
        $whole = array_filter($advice, static fn (CareAdvice $one): bool => $one->variant === null);
        $do = array_values(array_filter(array_map(static fn (CareAdvice $one): ?Adaptation => $one->do, $whole)));

        return new self(
            in_array(Adaptation::Skip, $do, true),
            array_values(array_unique([...$do, ...$spared->everywhere()], SORT_REGULAR)),
            array_values(array_unique(array_map(static fn (CareAdvice $one): string => (string) $one->variant, array_filter($advice, static fn (CareAdvice $one): bool => $one->variant !== null && $one->do === Adaptation::Skip)))),
            $spared->asked() !== [] || array_filter($whole, static fn (CareAdvice $one): bool => $one->do === null) !== [],
        );
    }
}
