<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

use stdClass;

/** A part of a form that is written as an object of its own. */
interface Written
{
    /** As it stands in the form file. */
    public function toData(): stdClass;
}
