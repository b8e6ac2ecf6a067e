<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;

/** What of a form is cut: for no group all of it; in a course its target, after what the group learned before. */
final readonly class CutScope
{
    /**
     * @param  list<int>  $learned  positions the group was taught before
     * @param  array<int, CutPin|null>  $pins  by the position before the join; they stand instead of the form's own
     */
    public function __construct(public Passage $target, public array $learned = [], public array $pins = [])
    {
    }

    public static function whole(Form $form): self
    {
        return new self(new Passage(1, $form->count()));
    }
}
