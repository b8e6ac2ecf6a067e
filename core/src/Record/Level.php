<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

/** A step of a ladder a teacher marks: {@see Support} for entries, {@see Keeping} for principles. */
interface Level extends \BackedEnum
{
}
