<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** What to look for when a class is stopped and the evening has no focus of its own (common practice). */
enum StopFocus: string
{
    /** The empty foot can be lifted without a sway. */
    case EmptyFoot = 'empty_foot';

    /** Arms and legs have both arrived. */
    case ArrivedTogether = 'arrived_together';

    /** The standing foot has its three contacts: heel, big-toe ball, little-toe ball. */
    case ThreeContacts = 'three_contacts';

    /** The hips are level. */
    case LevelHips = 'level_hips';
}
