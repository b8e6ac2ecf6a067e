<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** The foot that steps first. */
enum FirstStep: string
{
    case Left = 'left';
    case Right = 'right';
    case None = 'none';
}
