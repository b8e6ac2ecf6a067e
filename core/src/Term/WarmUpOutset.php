<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Form\Form;

/** What the warm-ups of a term are chosen from, and for which forms. */
final readonly class WarmUpOutset
{
    /**
     * @param  array<string, Form>  $forms  by course
     * @param  bool  $isCold  whether the room is marked cold
     */
    public function __construct(public WarmUpList $list, public array $forms, public bool $isCold = false)
    {
    }
}
