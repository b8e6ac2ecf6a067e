<?php

declare(strict_types=1);

namespace App\Actions;

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
            $term->delete();
        });
    }
}
