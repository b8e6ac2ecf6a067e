<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

/** What a fact of the record says. */
enum FactKind: string
{
    case Mark = 'mark';
    case Taught = 'taught';
    case Practice = 'practice';
    case Withdraw = 'withdraw';
}
