<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Principle\FocusChooser;
use Gorvan\Core\Reading\Day;

/** The principles a meeting works on, by hand; or every open meeting of its week, Monday to Sunday. */
final readonly class SetFocus implements TermChange
{
    /** @param  list<string>|null  $principles  the first one first; null to leave it to the plan */
    public function __construct(public string $meeting, public ?array $principles, public bool $isForWeek = false)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        if ($this->principles !== null && count($this->principles) > FocusChooser::MOST) {
            throw ChangeRefused::tooManyFocuses(FocusChooser::MOST);
        }
        $own = $draft->meeting($this->meeting);
        $changed = $draft;
        foreach ($draft->meetings as $meeting) {
            if ($meeting->id === $own->id || ($this->isForWeek && $meeting->isOpen && Day::week($meeting->on) === Day::week($own->on))) {
                $changed = $changed->put($meeting->pinned(['principles' => $this->principles]));
            }
        }

        return $changed;
    }
}
