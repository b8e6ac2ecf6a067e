<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a re-plan moved: when, because of what, by whom; and the term before and after, where it can be taken back.
 *
 * @property string $term_id
 * @property string|null $made_by
 * @property \Illuminate\Support\Carbon $at
 * @property int $plan  of the term, as often as it had been asked for by then
 * @property string $touched  JSON list of what was changed by hand
 * @property string $cause
 * @property string $difference
 * @property string|null $before
 * @property string|null $after
 * @property bool $is_taken_back
 * @property Term $term
 */
final class PlanChange extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'datetime', 'is_taken_back' => 'boolean'];
    }

    protected static function booted(): void
    {
        self::creating(static function (self $row): void {
            $row->at ??= \Illuminate\Support\Carbon::now();
        });
    }

    /** @return BelongsTo<Term, $this> */
    public function term(): BelongsTo
    {
        return $this->belongsTo(Term::class, 'term_id');
    }

    public function because(): Message
    {
        return Message::read(JsonNode::parse($this->cause));
    }

    /** @return list<Message> */
    public function moved(): array
    {
        return array_map(Message::read(...), JsonNode::parse($this->difference)->items());
    }
}
