<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\Term;
use Illuminate\Support\Facades\DB;

/** What a term would come to: it is laid as it would be, looked at, and taken back before anybody else sees it. */
final class SketchTerm
{
    public function __construct(private readonly LayTerm $lay)
    {
    }

    /**
     * @template T
     *
     * @param  array<mixed>  $term  as in {@see LayTerm}
     * @param  non-empty-list<NewCourse>  $courses
     * @param  callable(Term): T  $look
     * @return T
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function __invoke(Group $group, string $title, array $term, array $courses, ?Term $after, callable $look): mixed
    {
        DB::beginTransaction();
        try {
            return $look(($this->lay)($group, $title, $term, $courses, $after));
        } finally {
            DB::rollBack();
        }
    }
}
