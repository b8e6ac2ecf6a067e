<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\LoggedClass;
use App\Models\Meeting;
use App\Models\Term;
use Gorvan\Core\Term\Change\DraftMeeting;
use Gorvan\Core\Term\Change\TermDraft;
use Gorvan\Core\Term\Closure;

/** A term as core changes it. */
final class ReadTermDraft
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    public function __invoke(Term $term): TermDraft
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Meeting> $meetings */
        $meetings = $term->meetings()->orderBy('starts_at')->get();
        // A meeting that was logged once keeps its plan, also when the log is taken back.
        $logged = array_fill_keys(LoggedClass::whereIn('meeting_id', $meetings->pluck('id'))->pluck('meeting_id')->all(), true);

        return new TermDraft(
            $term->starts_on,
            $term->ends_on,
            $this->school->today(),
            array_map(static fn (array $closure): Closure => new Closure($closure['from'], $closure['to']), $term->closures),
            array_values($meetings->map(fn (Meeting $meeting): DraftMeeting => $this->meeting($meeting, isset($logged[$meeting->id])))->all()),
        );
    }

    public function meeting(Meeting $meeting, bool $wasLogged): DraftMeeting
    {
        return new DraftMeeting(
            $meeting->id,
            $meeting->on,
            $meeting->starts_at->setTimezone($this->school->zone())->format('H:i'),
            $meeting->minutes,
            $meeting->on >= $this->school->today() && ! $wasLogged,
            $meeting->state,
            $meeting->reason,
            $meeting->room,
            $meeting->fixed(),
        );
    }
}
