<?php

declare(strict_types=1);

namespace App\Forms;

/** What ids that are alike mean, where a file is read over a form and that may be chance. */
enum LikeIds: string
{
    case Same = 'same';

    case Other = 'other';
}
