<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** What has another form on the other side of the body. */
interface Mirrored
{
    /** As the other side has it. Pure. */
    public function mirrored(): static;
}
