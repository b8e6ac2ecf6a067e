<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\KeptLesson;
use App\Models\Recorded;
use App\Models\Term;
use Gorvan\Core\Reading\Message;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** Takes a term back in which nothing was recorded. What was recorded is kept, and its term with it. */
final class RemoveTerm
{
    public function __invoke(Term $term): void
    {
        DB::transaction(function () use ($term): void {
            $term->meetings()->lockForUpdate()->pluck('id');
            $this->would($term)->orRefuse();
            $this->copied($term)->delete();
            $term->delete();
        });
    }

    public function would(Term $term): Removal
    {
        $meetings = $term->meetings()->pluck('id');
        if (Recorded::atAnyOf($meetings)) {
            return Removal::refused(Message::of('term.recorded'));
        }
        $copied = $this->copied($term)->count();

        return Removal::takes(
            ['meetings' => $meetings->count(), 'courses' => $term->courses()->count(), 'lessons_copied' => $copied],
            ['lessons_stay' => KeptLesson::whereIn('course_id', $term->courses()->select('id'))->count() - $copied],
        );
    }

    /**
     * What came along from another term and was never touched goes as it came; what was written here stays with the form.
     *
     * @return Builder<KeptLesson>
     */
    private function copied(Term $term): Builder
    {
        return KeptLesson::whereIn('course_id', $term->courses()->select('id'))->whereNotNull('used_from')->where('version', 1);
    }
}
