<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Lesson\CutScope;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Lesson\OwnLessons;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A form; its document is read and written through core.
 *
 * @property string $title
 * @property \stdClass $document  what the form file says of the form as a whole
 * @property list<list<string>>|null $own_lessons  by the ids of their entries; null while no cut was kept
 * @property int $version
 * @property float|null $target
 * @property int|null $lesson_count
 * @property float|null $lesson_minutes
 * @property float|null $load_minutes
 * @property float|null $lesson_movements
 * @property float|null $lambda
 * @property Collection<int, Entry> $entries
 * @property int $lessons  of its own cut, for lists
 * @property float $load
 */
final class Form extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['document' => 'object', 'target' => 'float', 'lesson_count' => 'integer', 'lesson_minutes' => 'float', 'load_minutes' => 'float', 'lesson_movements' => 'float', 'lambda' => 'float', 'version' => 'integer', 'lessons' => 'integer', 'load' => 'float', 'own_lessons' => 'array'];
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

    /** The form as core knows it, with the row of each entry. */
    public function placed(): PlacedForm
    {
        if (! $this->relationLoaded('entries')) {
            return self::placedAll([$this])[$this->id];
        }
        $rows = [];
        foreach ($this->entries as $entry) {
            $rows[$entry->id] = $entry->document;
        }

        return $this->placedOf($rows);
    }

    /**
     * Several of them, from one query, and without a model for each entry.
     *
     * @param  iterable<self>  $forms
     * @return array<string, PlacedForm> by id
     */
    public static function placedAll(iterable $forms): array
    {
        $rows = [];
        foreach ($forms as $form) {
            $rows[$form->id] = [];
        }
        foreach (Entry::whereIn('form_id', array_keys($rows))->whereNotNull('position')->orderBy('position')->toBase()->get(['id', 'form_id', 'document']) as $entry) {
            $rows[$entry->form_id][$entry->id] = json_decode($entry->document, false, 512, JSON_THROW_ON_ERROR);
        }
        $placed = [];
        foreach ($forms as $form) {
            $placed[$form->id] = $form->placedOf($rows[$form->id]);
        }

        return $placed;
    }

    /** @param  array<string, \stdClass>  $rows  entries as they stand in the form file, in the order of the form, by row */
    private function placedOf(array $rows): PlacedForm
    {
        $root = array_replace(get_object_vars($this->document), ['format' => FormFileReader::FORMAT, 'entries' => array_values($rows), 'lessons' => $this->own_lessons]);

        return new PlacedForm($this->id, (new FormFileReader)->readNode(JsonNode::of((object) $root))->form, array_map(strval(...), array_keys($rows)));
    }

    /** How large its lessons should be, where the teacher says it. */
    public function size(): LessonSize
    {
        return new LessonSize($this->target, $this->lesson_count, $this->lesson_minutes, $this->load_minutes, $this->lambda, $this->lesson_movements);
    }

    /**
     * The form's own lessons; where none are kept, the cut it asks for with its pins and bars, for no group.
     *
     * @param  PlacedForm|null  $placed  where it is read already
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function cut(LessonCutter $cutter, ?PlacedForm $placed = null): LessonCut
    {
        $form = ($placed ?? $this->placed())->form;
        $own = OwnLessons::of($form);

        return $own === [] ? $this->freshly($cutter, $form) : $cutter->weighing($this->lambda)->kept($form, CutScope::whole($form), OwnLessons::kept($form, $own), target: $this->size()->in($form)->target());
    }

    /**
     * A new cut of the size the form asks for, with its pins and bars.
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function freshly(LessonCutter $cutter, CoreForm $form): LessonCut
    {
        $size = $this->size();

        return $cutter->weighing($size->lambda)->cut($form, $size->in($form)->target(), $size->count);
    }
}
