<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** Why an entry is done another way. */
enum VariantReason: string
{
    case Level = 'level';
    case Injury = 'injury';
    case SmallRoom = 'small_room';
    case FirstTime = 'first_time';
    case Seated = 'seated';
    case EitherHand = 'either_hand';
    case Other = 'other';
}
