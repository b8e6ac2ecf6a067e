<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** Why an entry asks for something (engine 3). */
enum LoadReason: string
{
    case Base = 'base';
    case Turn = 'turn';
    case BigTurn = 'big_turn';
    case Steps = 'steps';
    case OneLeg = 'one_leg';
    case BothSides = 'both_sides';
    case Stated = 'stated';
}
