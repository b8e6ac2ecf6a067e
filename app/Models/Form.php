<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Form\FormFileReader;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A form; its score is read and written through core.
 *
 * @property string $title
 * @property \stdClass $score  what the form file says of the form as a whole
 * @property int $version
 * @property float|null $target
 * @property int|null $lesson_count
 * @property \Illuminate\Database\Eloquent\Collection<int, Entry> $entries
 * @property \Illuminate\Database\Eloquent\Collection<int, Lesson> $lessons
 */
final class Form extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['score' => 'object', 'target' => 'float', 'lesson_count' => 'integer', 'version' => 'integer'];
    }

    /** @return HasMany<Entry, $this> in the order of the form; those taken out of it are not among them */
    public function entries(): HasMany
    {
        $rows = $this->hasMany(Entry::class, 'form_id');
        $rows->whereNotNull('position')->orderBy('position');

        return $rows;
    }

    /** @return HasMany<FormVersion, $this> the latest first */
    public function versions(): HasMany
    {
        $rows = $this->hasMany(FormVersion::class, 'form_id');
        $rows->orderByDesc('number');

        return $rows;
    }

    /** @return HasMany<Lesson, $this> in the order of the form */
    public function lessons(): HasMany
    {
        $rows = $this->hasMany(Lesson::class, 'form_id');
        $rows->orderBy('ordinal');

        return $rows;
    }

    /**
     * The cut the form asks for, with its pins and bars.
     *
     * @param  Score|null  $score  where it is read already
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function cut(LessonCutter $cutter, ?Score $score = null): LessonCut
    {
        return $cutter->cut(($score ?? $this->score())->form, $this->lesson_count === null ? $this->target : null, $this->lesson_count);
    }

    /** The form as core knows it. */
    public function score(): Score
    {
        $this->loadMissing('entries');
        $root = [
            ...get_object_vars($this->score),
            'format' => FormFileReader::FORMAT,
            'entries' => $this->entries->map(static fn (Entry $entry): \stdClass => $entry->score)->all(),
        ];

        return new Score((new FormFileReader)->readNode(JsonNode::of((object) $root))->form, array_values($this->entries->pluck('id')->all()));
    }
}
