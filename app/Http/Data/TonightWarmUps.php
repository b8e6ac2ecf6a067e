<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\WarmUpOutset;
use Gorvan\Core\Term\WarmUpPlanner;
use OpenApi\Attributes as OA;

/** What a meeting warms up with, and why. */
#[OA\Schema]
final readonly class TonightWarmUps
{
    /**
     * @param  list<TonightWarmUp>  $items
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: TonightWarmUp::class))]
        public array $items,
        #[OA\Property(type: 'object', description: 'weight by joint', additionalProperties: new OA\AdditionalProperties(type: 'integer'))]
        public object $loaded,
        #[OA\Property]
        public bool $isCold,
    ) {
    }

    /** @param  array<string, Form>  $forms  by course */
    public static function of(?MeetingPlan $plan, array $forms, WarmUpList $list, bool $isCold, WarmUpPlanner $planner = new WarmUpPlanner): self
    {
        $loaded = $plan === null ? [] : $planner->loaded(new WarmUpOutset($list, $forms, $isCold), $plan);

        return new self(array_map(TonightWarmUp::of(...), $list->named($plan->warmUp ?? [])), (object) $loaded, $isCold);
    }
}
