<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

/** How much a finding asks for. */
enum Severity: string
{
    /** It cannot be as it is written. */
    case Error = 'error';

    /** It is unusual and may be meant. */
    case Doubt = 'doubt';

    /** Something is not said. */
    case Gap = 'gap';
}
