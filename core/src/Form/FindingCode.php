<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** What a finding is about (engine 2). */
enum FindingCode: string
{
    case Count = 'count';
    case Weight = 'weight';
    case Turn = 'turn';
    case Travel = 'travel';
    case Sides = 'sides';
    case Reference = 'reference';
    case Twin = 'twin';
    case Care = 'care';
    case Breath = 'breath';
    case Number = 'number';
    case Nth = 'nth';
    case Silent = 'silent';
}
