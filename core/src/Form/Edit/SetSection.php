<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Section;

/** A section begins at an entry and reaches to the next one; without a title none begins there. */
final readonly class SetSection implements FormEdit
{
    public function __construct(public string $id, public ?string $title)
    {
    }

    public function apply(Form $form): Form
    {
        $at = Sequence::find($form, $this->id);
        $sections = [];
        $last = $form->count();
        foreach ($form->sections as $section) {
            if ($section->first < $at && $section->last >= $at) {
                // Taking a beginning out gives its entries to the section before; a new one takes them from it.
                $last = $section->last;
                $sections[] = new Section($section->title, $section->first, $this->title === null ? $section->last : $at - 1, $section->others);
            } elseif ($section->first === $at) {
                $last = $section->last;
                $before = $sections === [] ? null : $sections[count($sections) - 1];
                if ($this->title !== null) {
                    $sections[] = new Section($this->title, $at, $last, $section->others);
                } elseif ($before !== null && $before->last === $at - 1) {
                    $sections[count($sections) - 1] = new Section($before->title, $before->first, $last, $before->others);
                }
            } else {
                $last = $section->first > $at ? min($last, $section->first - 1) : $last;
                $sections[] = $section;
            }
        }
        $stands = array_filter($sections, static fn (Section $section): bool => $section->first === $at) !== [];
        if ($this->title !== null && ! $stands) {
            $sections[] = new Section($this->title, $at, max($at, $last));
        }
        usort($sections, static fn (Section $a, Section $b): int => $a->first <=> $b->first);

        return $form->with(['sections' => $sections]);
    }

    public function touches(): array
    {
        return ['form'];
    }

    public function isStructural(): bool
    {
        return false;
    }
}
