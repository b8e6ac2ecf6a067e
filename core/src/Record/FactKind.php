<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

/** What a fact of the record says. */
enum FactKind: string
{
    /** What was seen of a student. */
    case Mark = 'mark';

    /** Present when its lesson was given, or when a principle was the focus. */
    case Taught = 'taught';

    /** Known before the group was kept here. */
    case Before = 'before';

    /** Present when it was reviewed. */
    case Practice = 'practice';

    /** Gone through once, in motion. */
    case RunThrough = 'run_through';

    /** Practised between classes. */
    case Home = 'home';

    case Withdraw = 'withdraw';

    /** Whether whoever it is about was shown and told it, from the start. */
    public function teaches(): bool
    {
        return $this === self::Taught || $this === self::Before;
    }

    /** Which of two facts of one day decides, the greater first: a mark before contact, taught before practice, both before a run-through. */
    public function rank(): int
    {
        return match ($this) {
            self::Mark => 4,
            self::Taught, self::Before => 3,
            self::Practice, self::Home => 2,
            self::RunThrough => 1,
            self::Withdraw => 0,
        };
    }
}
