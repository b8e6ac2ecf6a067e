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
 * @property string|null $family
 * @property int|null $announced
 * @property float|null $breath_seconds
 * @property string|null $footfall
 * @property \stdClass $others
 * @property float|null $target
 * @property int|null $lesson_count
 * @property \Illuminate\Database\Eloquent\Collection<int, Entry> $entries
 * @property \Illuminate\Database\Eloquent\Collection<int, Section> $sections
 * @property \Illuminate\Database\Eloquent\Collection<int, Lesson> $lessons
 */
final class Form extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['others' => 'object', 'breath_seconds' => 'float', 'target' => 'float', 'announced' => 'integer', 'lesson_count' => 'integer'];
    }

    /** @return HasMany<Entry, $this> in the order of the form */
    public function entries(): HasMany
    {
        $rows = $this->hasMany(Entry::class, 'form_id');
        $rows->orderBy('position');

        return $rows;
    }

    /** @return HasMany<Section, $this> in the order of the form */
    public function sections(): HasMany
    {
        $rows = $this->hasMany(Section::class, 'form_id');
        $rows->orderBy('first');

        return $rows;
    }

    /** @return HasMany<Lesson, $this> in the order of the form */
    public function lessons(): HasMany
    {
        $rows = $this->hasMany(Lesson::class, 'form_id');
        $rows->orderBy('ordinal');

        return $rows;
    }

    /** The cut the form asks for, with its pins and bars. @throws \Gorvan\Core\Lesson\CutImpossible */
    public function cut(LessonCutter $cutter): LessonCut
    {
        return $cutter->cut($this->score()->form, $this->lesson_count === null ? $this->target : null, $this->lesson_count);
    }

    /** The form as core knows it. */
    public function score(): Score
    {
        $this->loadMissing('entries', 'sections');
        $root = [
            ...get_object_vars($this->others),
            'format' => FormFileReader::FORMAT,
            'title' => $this->title,
            'family' => $this->family,
            'announced' => $this->announced,
            'breath_seconds' => $this->breath_seconds,
            'footfall' => $this->footfall,
            'sections' => $this->sections->map(static fn (Section $section): \stdClass => (object) [...get_object_vars($section->others), ...$section->only(['title', 'first', 'last'])])->all(),
            'entries' => $this->entries->map(static fn (Entry $entry): \stdClass => $entry->score)->all(),
        ];

        return new Score((new FormFileReader)->readNode(JsonNode::of((object) $root))->form, array_values($this->entries->pluck('id')->all()));
    }
}
