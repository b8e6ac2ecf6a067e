<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;

/** All that the form's count includes is numbered one after the other; nothing else has a published number. */
final readonly class Renumber implements FormEdit
{
    public function __construct(public int $from = 1)
    {
    }

    public function apply(Form $form): Form
    {
        $next = $this->from;

        return $form->with(['entries' => array_map(static function (Entry $entry) use (&$next): Entry {
            $number = $entry->isCounted() ? $next++ : null;

            return $entry->number === $number ? $entry : $entry->with(['number' => $number]);
        }, $form->entries)]);
    }

    public function touches(): array
    {
        return [];
    }

    public function isStructural(): bool
    {
        return true;
    }
}
