<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle\Edit;

use Gorvan\Core\Principle\PrincipleSet;
use Gorvan\Core\Principle\SetDifference;

/** One change to a set of principles. */
interface SetEdit
{
    /** @throws \Gorvan\Core\Reading\BadInput and nothing is changed */
    public function on(PrincipleSet $set): PrincipleSet;

    /** @return list<string> ids of the principles it is about, or {@see SetDifference::HEAD} for the set as a whole */
    public function touches(): array;
}
