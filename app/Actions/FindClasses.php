<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\Group;
use App\Models\LoggedClass;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** Finds what a group's classes did hold: by the day, by a movement, or by a word of a note. */
final class FindClasses
{
    public const PAGE = 20;

    /**
     * @param  string  $find  a day `Y-m-d` or the beginning of one, the title or number of a movement, or a word; empty for all
     * @param  string|null  $before  id of the log after which to go on
     * @return Collection<int, LoggedClass> the latest first, one more than a page where there are more
     */
    public function __invoke(Group $group, string $find, ?string $before): Collection
    {
        $logs = LoggedClass::standing()->where('group_id', $group->id)->whereNotNull('meeting_id');
        if (preg_match('/^\d{4}(-\d{1,2}){0,2}-?$/D', $find) === 1) {
            $logs->whereRaw("to_char(\"on\", 'YYYY-MM-DD') like ?", ["$find%"]);
        } elseif ($find !== '') {
            $this->word($logs, $find);
        }
        $from = $before === null ? null : LoggedClass::where('group_id', $group->id)->find($before);
        if ($from !== null) {
            $logs->whereRaw('("on", made_at, id) < (?, ?, ?)', [$from->on, $from->made_at->format('Y-m-d H:i:s.uP'), $from->id]);
        }

        return $logs->orderByDesc('on')->orderByDesc('made_at')->orderByDesc('id')->limit(self::PAGE + 1)->get();
    }

    /** @param  Builder<LoggedClass>  $logs */
    private function word(Builder $logs, string $word): void
    {
        $like = '%'.addcslashes($word, '%_\\').'%';
        $entries = Entry::query()->where(static fn ($entry) => $entry->whereRaw("document->>'title' ilike ?", [$like])->orWhereRaw("document->>'number' = ?", [$word]))->limit(2000)
            ->toBase()->selectRaw("form_id || '/' || key as keyed")->pluck('keyed')->all();
        $logs->where(static fn ($one) => $one
            ->whereRaw("body->>'note' ilike ?", [$like])
            ->orWhereRaw("exists (select from json_array_elements(body->'did') d where d->>'note' ilike ?)", [$like])
            ->orWhereRaw("exists (select from json_array_elements(coalesce(body->'guests', '[]'::json)) g where g->>'name' ilike ?)", [$like])
            ->when($entries !== [], static fn ($also) => $also->orWhereRaw(
                "exists (select from json_array_elements(body->'did') d, json_array_elements_text(coalesce(d->'entries', '[]'::json)) e where (d->>'form') || '/' || e = any(?::text[]))",
                ['{'.implode(',', array_map(static fn (string $key): string => '"'.addcslashes($key, '"\\').'"', $entries)).'}'],
            )));
    }
}
