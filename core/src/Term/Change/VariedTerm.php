<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Term\CourseOutset;

/** A term and its courses as another plan would have them. */
final readonly class VariedTerm
{
    /** @param  non-empty-list<CourseOutset>  $courses */
    public function __construct(public TermDraft $draft, public array $courses)
    {
    }
}
