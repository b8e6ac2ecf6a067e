<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Term;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\TermDates;
use Gorvan\Core\Term\TermReader;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;

/** Lays a group's form over a term of weekly meetings. */
final class LayTerm
{
    public function __construct(private readonly CurrentSchool $school, private readonly PlanTerm $plan)
    {
    }

    /**
     * The meetings a term would have, without saving.
     *
     * @param  array<mixed>  $term  `from`, `to`, `pattern`, `closures` as in the term file, in the school's zone
     *
     * @throws Refused at its place in the term file
     */
    public function dates(array $term): TermDates
    {
        $zoned = [...Arr::only($term, ['from', 'to', 'pattern', 'closures']), 'timezone' => $this->school->get()->timezone];
        try {
            $dates = TermDates::of((new TermReader)->read(json_encode($zoned, JSON_THROW_ON_ERROR)));
        } catch (BadInput $e) {
            // A teacher fills in a page and no file: the sentence says it, the place is for the page.
            throw Refused::because(ucfirst($e->reason).'.', $e->place);
        }
        $most = config('gorvan.limits.meetings');
        if (count($dates->meetings) > $most) {
            throw Refused::because(sprintf('That makes %d meetings; a term has at most %d. Shorten the term or the weekly pattern.', count($dates->meetings), $most), '$.to');
        }

        return $dates;
    }

    /** @param  array<mixed>  $term */
    public function __invoke(Group $group, string $title, array $term, Approach $approach): Term
    {
        $dates = $this->dates($term);

        return DB::transaction(function () use ($group, $title, $term, $approach, $dates): Term {
            $row = Term::create([
                'group_id' => $group->id,
                'form_id' => $group->form_id,
                'title' => $title,
                'starts_on' => $term['from'],
                'ends_on' => $term['to'],
                'pattern' => $term['pattern'],
                'closures' => $term['closures'] ?? [],
                'approach' => $approach,
                'warnings' => [],
            ]);
            foreach ($dates->meetings as $date) {
                $row->meetings()->create(['on' => $date->on, 'starts_at' => $date->starts, 'minutes' => $date->minutes]);
            }
            ($this->plan)($row);

            return $row;
        });
    }
}
