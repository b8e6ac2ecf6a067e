<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** One thing a teacher does to a term. A new kind of change is a new file. */
interface TermChange
{
    /** @throws ChangeRefused */
    public function on(TermDraft $draft): TermDraft;
}
