<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\Form;
use App\Models\Group;
use App\Models\Meeting;
use App\Models\Student;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** Finds students, forms, movements, groups and classes by what they are called; whatever begins with it goes first. */
final class FindAnything
{
    /** So many of a kind are shown at most. */
    public const MOST = 8;

    private readonly string $anywhere;

    private readonly string $first;

    /** @param  string  $find  not blank */
    public function __construct(string $find)
    {
        $word = addcslashes($find, '%_\\');
        $this->anywhere = "%$word%";
        $this->first = "$word%";
    }

    /** @return Collection<int, Student> with their groups */
    public function students(): Collection
    {
        return $this->called(Student::query()->with('groups')->where('off_list_at', null), 'name')->get();
    }

    /** @return Collection<int, Form> */
    public function forms(): Collection
    {
        return $this->called(Form::query(), 'title')->get(['id', 'school_id', 'title']);
    }

    /** @return Collection<int, Group> */
    public function groups(): Collection
    {
        return $this->called(Group::query(), 'name')->get();
    }

    /** @return Collection<int, Entry> with their form; by its title, or by another name it has */
    public function movements(): Collection
    {
        $entries = Entry::query()->with('form:id,school_id,title');
        $entries->whereNotNull('position');
        $entries->where(fn (Builder $entry) => $entry->whereRaw("document->>'title' ilike ?", [$this->anywhere])
            ->orWhereRaw("document->>'aliases' ilike ?", [$this->anywhere]));
        $entries->orderByRaw("(document->>'title' ilike ?) desc", [$this->first])->orderBy('form_id')->orderBy('position')->limit(self::MOST);

        return $entries->get();
    }

    /**
     * @param  string|null  $on  the classes of a day `Y-m-d`; else those of groups of that name, nearest to today first
     * @return Collection<int, Meeting> with their group
     */
    public function meetings(?string $on, string $today): Collection
    {
        $meetings = Meeting::query()->with('term.group');
        if ($on !== null) {
            $meetings->where('on', $on);
        } else {
            $meetings->whereHas('term.group', fn (Builder $group) => $group->where('name', 'ilike', $this->anywhere));
            $meetings->orderByRaw('abs("on" - ?::date)', [$today]);
        }
        $meetings->orderBy('starts_at')->limit(self::MOST);

        return $meetings->get();
    }

    /**
     * @template T of \Illuminate\Database\Eloquent\Model
     *
     * @param  Builder<T>  $query
     * @return Builder<T>
     */
    private function called(Builder $query, string $column): Builder
    {
        $query->where($column, 'ilike', $this->anywhere);
        $query->orderByRaw("($column ilike ?) desc", [$this->first])->orderBy($column)->limit(self::MOST);

        return $query;
    }
}
