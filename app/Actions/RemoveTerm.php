<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\KeptLesson;
use App\Models\Recorded;
use App\Models\Term;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Takes a term back in which nothing was recorded. What was recorded is kept, and its term with it. */
final class RemoveTerm
{
    public function __invoke(Term $term): void
    {
        DB::transaction(static function () use ($term): void {
            $meetings = $term->meetings()->lockForUpdate()->pluck('id');
            if (Recorded::atAnyOf($meetings)) {
                throw Refused::conflict(Message::of('term.recorded'));
            }
            // What came along from another term and was never touched goes as it came; what was written here stays with the form.
            KeptLesson::whereIn('course_id', $term->courses()->select('id'))->whereNotNull('used_from')->where('version', 1)->delete();
            $term->delete();
        });
    }
}
