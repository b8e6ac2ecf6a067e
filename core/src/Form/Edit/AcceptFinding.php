<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\Acceptance;
use Gorvan\Core\Form\Audit\FormAudit;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Gone;

/** A finding is accepted with a reason, or, without one, is open again. */
final readonly class AcceptFinding implements FormEdit
{
    /** @param  string  $grounds  fingerprint of the finding, see {@see \Gorvan\Core\Form\Audit\Finding} */
    public function __construct(public FindingCode $code, public string $grounds, public ?string $reason)
    {
    }

    public function apply(Form $form): Form
    {
        $kept = array_values(array_filter($form->accepted, fn (Acceptance $one): bool => $one->code !== $this->code || $one->grounds !== $this->grounds));
        if ($this->reason === null) {
            return $form->with(['accepted' => $kept]);
        }
        $found = null;
        foreach (FormAudit::of($form)->open as $finding) {
            if ($finding->code === $this->code && $finding->grounds($form) === $this->grounds) {
                $found = $finding;
            }
        }
        if ($found === null) {
            throw Gone::finding();
        }

        return $form->with(['accepted' => [...$kept, new Acceptance($this->code, $found->entry($form)?->id, $this->reason, $this->grounds)]]);
    }

    public function touches(): array
    {
        return [];
    }

    public function isStructural(): bool
    {
        return false;
    }
}
