<?php

declare(strict_types=1);

namespace App\Http\Data;

use ArrayObject;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\WarmUpOutset;
use Gorvan\Core\Term\WarmUpPlanner;

/** What a meeting warms up with, and why. */
final readonly class TonightWarmUps
{
    /**
     * @param  list<TonightWarmUp>  $items
     * @param  ArrayObject<string, int>  $loaded  weight by joint
     */
    public function __construct(
        public array $items,
        public ArrayObject $loaded,
        public bool $isCold,
    ) {
    }

    /** @param  array<string, Form>  $forms  by course */
    public static function of(?MeetingPlan $plan, array $forms, WarmUpList $list, bool $isCold, WarmUpPlanner $planner = new WarmUpPlanner): self
    {
        $loaded = $plan === null ? [] : $planner->loaded(new WarmUpOutset($list, $forms, $isCold), $plan);

        return new self(array_map(TonightWarmUp::of(...), $list->named($plan->warmUp ?? [])), new ArrayObject($loaded), $isCold);
    }
}
