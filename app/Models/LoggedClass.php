<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Record\ClassLog;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * What a class did hold: one row, as the page sent it, never edited. `students` and `taught` are read out of it, for
 * queries.
 *
 * @property string $group_id
 * @property string|null $meeting_id
 * @property string $on
 * @property string $body
 * @property \Illuminate\Support\Carbon $made_at
 * @property string $made_by
 * @property \Illuminate\Support\Carbon $received_at
 * @property int|null $clock_ahead
 */
final class LoggedClass extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $table = 'class_logs';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['made_at' => 'datetime', 'received_at' => 'datetime'];
    }

    public function log(): ClassLog
    {
        return ClassLog::read(JsonNode::parse($this->body));
    }

    /**
     * Those that were not withdrawn.
     *
     * @param  Builder<self>  $query
     */
    public function scopeStanding(Builder $query): void
    {
        $query->whereNotExists(static fn ($gone) => $gone->from('withdrawn')->whereColumn('withdrawn.school_id', 'class_logs.school_id')->whereColumn('withdrawn.id', 'class_logs.id'));
    }
}
