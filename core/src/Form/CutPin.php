<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** What the teacher has said about cutting at a join. */
enum CutPin: string
{
    case Always = 'always';
    case Never = 'never';
}
