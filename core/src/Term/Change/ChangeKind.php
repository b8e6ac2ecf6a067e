<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** What is changed of a term. */
enum ChangeKind: string
{
    case Move = 'move';

    case Minutes = 'minutes';

    case Cancel = 'cancel';

    case Restore = 'restore';

    case Add = 'add';

    case Close = 'close';

    case Room = 'room';

    case Lesson = 'lesson';

    case NothingNew = 'nothing_new';

    case Rough = 'rough';

    case RunOrder = 'run_order';

    case SpendReserve = 'spend_reserve';

    case Focus = 'focus';

    case Principles = 'principles';

    case Box = 'box';

    case ReviewOut = 'review_out';

    case ReviewIn = 'review_in';

    case ReviewPicked = 'review_picked';
}
