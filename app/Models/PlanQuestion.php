<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something that takes long to compute about a term: asked, computed in the background, and there when one comes back.
 *
 * @property string $term_id
 * @property QuestionKind $kind
 * @property array<string, mixed> $question
 * @property int $plan  of the term, as often as it had been asked for
 * @property QuestionState $state
 * @property int $progress  hundredths
 * @property string|null $answer  JSON
 * @property string $made_by
 * @property \Illuminate\Support\Carbon $created_at
 * @property Term $term
 */
final class PlanQuestion extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => QuestionKind::class, 'state' => QuestionState::class, 'question' => 'array', 'plan' => 'integer', 'progress' => 'integer'];
    }

    /** @return BelongsTo<Term, $this> */
    public function term(): BelongsTo
    {
        return $this->belongsTo(Term::class, 'term_id');
    }
}
