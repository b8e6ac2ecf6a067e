<?php

declare(strict_types=1);

namespace App\Actions;

use App\Jobs\AnswerQuestionJob;
use App\Models\PlanQuestion;
use App\Models\QuestionKind;
use App\Models\Term;

/** Asks something about a plan that takes long to compute. Who asks the same of the same plan again gets what is there. */
final class AskQuestion
{
    /** @param  array<string, mixed>  $question */
    public function __invoke(Term $term, QuestionKind $kind, array $question, string $by): PlanQuestion
    {
        $known = PlanQuestion::where('term_id', $term->id)->where('kind', $kind->value)->where('plan', $term->plan_asked)->whereIn('state', ['waiting', 'running', 'done'])
            ->latest()->get()->first(static fn (PlanQuestion $one): bool => $one->question == $question);
        if ($known !== null) {
            return $known;
        }
        // An answer about an older plan is no answer any more.
        PlanQuestion::where('term_id', $term->id)->where('kind', $kind->value)->where('plan', '<', $term->plan_asked)->delete();
        $row = PlanQuestion::create(['term_id' => $term->id, 'kind' => $kind, 'question' => $question, 'plan' => $term->plan_asked, 'made_by' => $by]);
        AnswerQuestionJob::dispatch($term->school_id, $row->id);

        return $row->refresh();
    }
}
