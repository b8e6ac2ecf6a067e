<?php

declare(strict_types=1);

namespace App\Policies;

/** What someone may do in a school, by verb (engine 15). */
enum Ability: string
{
    case Read = 'read';

    /** Note who is here, and what was seen. */
    case Mark = 'mark';

    /** Lay terms, say what a class held, keep groups and their people. */
    case Plan = 'plan';
    case EditForms = 'edit-forms';
    case SeeConsiderations = 'see-considerations';
    case RunSchool = 'run-school';
}
