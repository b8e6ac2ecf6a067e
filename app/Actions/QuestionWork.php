<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\QuestionKind;

/** A question about a plan, with what it rests on as it was read. */
final readonly class QuestionWork
{
    /** @param  array<string, mixed>  $question */
    public function __construct(public string $id, public QuestionKind $kind, public array $question, public Planning $planning)
    {
    }
}
