<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\AnswerQuestion;
use App\Actions\QuestionWork;
use App\Models\CurrentSchool;
use App\Models\PlanQuestion;
use App\Models\QuestionState;
use App\Models\UnknownSchool;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Computes the answer to a question about a plan, outside any request. */
final class AnswerQuestionJob implements ShouldQueue
{
    use Leased;
    use Queueable;

    public int $timeout = 600;

    /** A queue with a worker of its own: a long comparison keeps no plan waiting. */
    public const QUEUE = 'questions';

    public function __construct(public readonly string $school, public readonly string $question)
    {
        $this->onQueue(self::QUEUE);
    }

    public function handle(CurrentSchool $current, AnswerQuestion $answer): void
    {
        $this->leased(
            $current,
            "question/$this->question",
            function () use ($answer): ?QuestionWork {
                $question = PlanQuestion::find($this->question);

                return $question === null || $question->state === QuestionState::Done ? null : $answer->read($question);
            },
            fn (QuestionWork $work, Lease $lease): array => $answer->compute($work, function (int $percent) use ($current, $lease): void {
                $lease->renew();
                $current->duringId($this->school, fn () => PlanQuestion::whereKey($this->question)->update(['progress' => $percent]));
            }),
            $answer->keep(...),
        );
    }

    /** A question that cannot be answered says so, instead of being worked on for ever. */
    public function failed(?Throwable $why): void
    {
        try {
            app(CurrentSchool::class)->duringId($this->school, fn () => PlanQuestion::whereKey($this->question)->update(['state' => QuestionState::Failed->value]));
        } catch (UnknownSchool) {
            // it has gone meanwhile, and what was asked with it
        }
    }
}
