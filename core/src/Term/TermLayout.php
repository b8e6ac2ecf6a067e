<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** A way of laying lessons over the meetings of a term. */
interface TermLayout
{
    public function lay(LayoutRequest $request): TermPlan;
}
