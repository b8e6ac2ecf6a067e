<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Form\Side;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Support;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * What a student needed on an entry or a step of a partner drill, or how well they kept a principle: never edited, only withdrawn.
 *
 * @property string $student_id
 * @property string|null $entry_id  where it was seen, of a principle; null where in general
 * @property string|null $principle_id
 * @property string|null $drill_step_id
 * @property string|null $meeting_id
 * @property string|null $on  the day of its class
 * @property Side|null $side
 * @property int $support  on the ladder of what it is about
 * @property \Illuminate\Support\Carbon $at
 * @property string $made_by
 * @property int|null $clock_ahead
 */
final class Mark extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['side' => Side::class, 'support' => 'integer', 'at' => 'datetime'];
    }

    public function level(): Support|Keeping
    {
        return $this->principle_id === null ? Support::from($this->support) : Keeping::from($this->support);
    }

    /**
     * Those that were not withdrawn.
     *
     * @param  Builder<self>  $query
     */
    public function scopeStanding(Builder $query): void
    {
        $query->whereNotExists(static fn ($gone) => $gone->from('withdrawn')->whereColumn('withdrawn.school_id', 'marks.school_id')->whereColumn('withdrawn.id', 'marks.id'));
    }
}
