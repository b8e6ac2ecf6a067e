<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** A form as a reader understood it, with what the reader inferred and what it could not make out. */
final readonly class ReadForm
{
    /**
     * @param  list<Kinship>  $inferred  relations the reader supposed and the teacher should confirm
     * @param  list<string>  $warnings  sentences that name their place
     */
    public function __construct(public Form $form, public array $inferred = [], public array $warnings = [])
    {
    }
}
