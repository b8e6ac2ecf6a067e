<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\AnswerQuestion;
use App\Models\CurrentSchool;
use App\Models\PlanQuestion;
use App\Models\QuestionState;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Computes the answer to a question about a plan, outside any request. */
final class AnswerQuestionJob implements ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 600;

    /** A queue with a worker of its own: a long comparison keeps no plan waiting. */
    public const QUEUE = 'questions';

    public function __construct(public readonly string $school, public readonly string $question)
    {
        $this->onQueue(self::QUEUE);
    }

    public function handle(CurrentSchool $current, AnswerQuestion $answer): void
    {
        $current->during($current->find($this->school) ?? throw new ModelNotFoundException, function () use ($answer): void {
            $question = PlanQuestion::find($this->question);
            if ($question !== null && $question->state !== QuestionState::Done) {
                $answer($question);
            }
        });
    }

    /** A question that cannot be answered says so, instead of being worked on for ever. */
    public function failed(?Throwable $why): void
    {
        app(CurrentSchool::class)->during(app(CurrentSchool::class)->find($this->school) ?? throw new ModelNotFoundException, fn () => PlanQuestion::whereKey($this->question)->update(['state' => QuestionState::Failed->value]));
    }
}
