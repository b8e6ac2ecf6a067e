<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\GroupCalendar;
use App\Http\Data\ClosuresData;
use App\Http\Data\FeedData;
use App\Models\CurrentSchool;
use App\Models\Group;
use App\Shared\Description\Operation;
use App\Terms\Requests\ClosuresFile;
use Gorvan\Core\Calendar\ClosuresReader;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** Calendars in and out: closures from a file, a group's meetings as a file, and its private feed. */
final class CalendarController extends Controller
{
    #[Operation('readClosures', 'The closures of a term in a calendar file', ClosuresData::class)]
    public function closures(Request $request, ClosuresFile $sent): JsonResponse
    {
        $request->validate(['to' => ['after_or_equal:from']]); // once both are days: what is none cannot be compared

        return new JsonResponse(ClosuresData::of(ClosuresReader::read($sent->text, $sent->from, $sent->to)));
    }

    #[Operation('groupCalendar', 'The meetings of a group as an iCalendar file')]
    public function file(Group $group, GroupCalendar $calendar): Response
    {
        return $this->calendar($calendar($group), 'attachment; filename="'.(Str::slug($group->name) ?: 'group').'.ics"');
    }

    #[Operation('makeFeed', 'The private address of its calendar; an earlier one no longer works', FeedData::class, status: 201)]
    public function make(Group $group): JsonResponse
    {
        $secret = Str::random(48);
        $group->update(['feed' => hash('sha256', $secret)]);

        return new JsonResponse(new FeedData(url("/feed/{$group->school_id}/$secret.ics")), 201);
    }

    #[Operation('revokeFeed', 'Its address no longer works')]
    public function revoke(Group $group): Response
    {
        $group->update(['feed' => null]);

        return response()->noContent();
    }

    /** The feed itself: whoever has the address reads it, and nobody else. */
    public function feed(string $school, string $secret, CurrentSchool $current, GroupCalendar $calendar): Response
    {
        $row = $current->find($school);
        if ($row === null) {
            abort(404);
        }

        return $current->during($row, function () use ($secret, $calendar): Response {
            $group = Group::where('feed', hash('sha256', $secret))->first();
            abort_if($group === null, 404);

            return $this->calendar($calendar($group), 'inline');
        });
    }

    private function calendar(string $text, string $disposition): Response
    {
        return response($text, 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => $disposition, 'Cache-Control' => 'private, max-age=300', 'X-Robots-Tag' => 'noindex']);
    }
}
