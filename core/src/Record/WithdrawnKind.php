<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

/** What a withdrawal takes out of the record. */
enum WithdrawnKind: string
{
    case Mark = 'mark';
    case Log = 'log';
    case Home = 'home';
    case Withdrawal = 'withdrawal';
}
