<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Form;

/**
 * A form checked like a score (engine 2): every finding that is open, and those the teacher accepted.
 */
final readonly class FormAudit
{
    /**
     * @param  list<Finding>  $open  in the order of the form, those about the whole form first
     * @param  list<AcceptedFinding>  $accepted
     */
    private function __construct(public array $open, public array $accepted, public FormTotals $totals)
    {
    }

    /** @return list<FindingRule> */
    public static function rules(): array
    {
        return [new CountRule, new WeightRule, new TurnRule, new TravelRule, new SidesRule, new ReferenceRule, new TwinRule,
            new CareRule, new BreathRule, new NumberRule, new NthRule, new SilentRule];
    }

    /** @param  list<FindingRule>|null  $rules  all of them unless some are named */
    public static function of(Form $form, ?array $rules = null): self
    {
        $reasons = [];
        foreach ($form->accepted as $acceptance) {
            $reasons[$acceptance->code->value][$acceptance->grounds] = $acceptance->reason;
        }
        $open = $accepted = [];
        foreach ($rules ?? self::rules() as $rule) {
            foreach ($rule->findings($form) as $finding) {
                $reason = isset($reasons[$finding->code->value]) ? $reasons[$finding->code->value][$finding->grounds($form)] ?? null : null;
                if ($reason === null) {
                    $open[] = $finding;
                } else {
                    $accepted[] = new AcceptedFinding($finding, $reason);
                }
            }
        }
        usort($open, static fn (Finding $a, Finding $b): int => ($a->position ?? 0) <=> ($b->position ?? 0));

        return new self($open, $accepted, FormTotals::of($form));
    }
}
