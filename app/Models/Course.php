<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Lesson\OwnLessons;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Course as CoreCourse;
use Gorvan\Core\Term\SaidPace;
use Gorvan\Core\Term\Showing;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A form as a group learns it in one term.
 *
 * @property string $term_id
 * @property string $form_id
 * @property int $ordinal
 * @property string|null $first_entry
 * @property string|null $last_entry
 * @property Approach $approach
 * @property float $share
 * @property float|null $lesson_load
 * @property int|null $lesson_count
 * @property float|null $lesson_minutes
 * @property float|null $load_minutes
 * @property float|null $lambda
 * @property array<string, string|null> $pins
 * @property array{lessons: list<list<string>>, first?: int, of_form?: bool}|null $cut  its lessons, the number of the first, and whether it takes its form's
 * @property string|null $showing
 * @property int|null $rhythm  lessons in a row, at most; 0 for any number, null for the approach's own
 * @property string|null $pace  as the teacher says it
 * @property bool|null $spread  lessons lie evenly; null to leave it to the plan
 * @property bool|null $settled_spread  what the plan made of it
 * @property string|null $settled_for
 * @property int $reserve  meetings before a showing that bring nothing new
 * @property bool $looks_back
 * @property list<list<string>>|null $keeps  passages that are kept alive, by entry
 * @property Term $term
 * @property Form $form
 */
final class Course extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['approach' => Approach::class, 'share' => 'float', 'lesson_load' => 'float', 'lesson_count' => 'integer', 'lesson_minutes' => 'float', 'load_minutes' => 'float', 'lambda' => 'float', 'pins' => 'array', 'cut' => 'array', 'ordinal' => 'integer', 'rhythm' => 'integer', 'spread' => 'boolean', 'settled_spread' => 'boolean', 'reserve' => 'integer', 'looks_back' => 'boolean', 'keeps' => 'array'];
    }

    /** @return BelongsTo<Term, $this> */
    public function term(): BelongsTo
    {
        return $this->belongsTo(Term::class, 'term_id');
    }

    /** @return BelongsTo<Form, $this> */
    public function form(): BelongsTo
    {
        return $this->belongsTo(Form::class, 'form_id');
    }

    /** The course as core knows it. An end of the target that is no longer in the form gives way to the form's own. */
    public function course(PlacedForm $placed): CoreCourse
    {
        $form = $placed->form;
        $from = $this->first_entry === null ? 1 : $form->positionOf($this->first_entry) ?? 1;
        $to = $this->last_entry === null ? $form->count() : $form->positionOf($this->last_entry) ?? $form->count();

        return new CoreCourse(
            $this->id,
            $form,
            new Passage(min($from, $to), max($from, $to)),
            $this->approach,
            $this->share,
            $this->size(),
            array_map(static fn (?string $pin): ?CutPin => $pin === null ? null : CutPin::from($pin), $this->pins),
            $this->showing === null ? null : Showing::read(JsonNode::parse($this->showing)),
            $this->rhythm,
            said: $this->said(),
            spread: $this->spread,
            reserve: $this->reserve ?? 1,
            looksBack: $this->looks_back ?? true,
            keeps: $this->keeps ?? [],
            takesLessons: $this->takesLessons(),
        );
    }

    /** A pace as its column keeps it. */
    public static function paceColumn(?SaidPace $said): ?string
    {
        return $said === null ? null : json_encode($said->toData(), JSON_THROW_ON_ERROR);
    }

    /** The pace the teacher says. */
    public function said(): ?SaidPace
    {
        return $this->pace === null ? null : SaidPace::read(JsonNode::parse($this->pace));
    }

    /** How large its lessons should be, where the teacher says it, with the pace that was said. */
    public function size(): LessonSize
    {
        $said = $this->said();

        return new LessonSize($this->lesson_load, $this->lesson_count, $this->lesson_minutes, $said === null ? $this->load_minutes : $said->minutes, $this->lambda, $said?->movements);
    }

    /** Whether it takes the lessons of its form as they are; else it has a cut of its own. */
    public function takesLessons(): bool
    {
        return $this->cut['of_form'] ?? false;
    }

    /**
     * Its lessons as they are kept.
     *
     * @param  list<int>  $learned  positions the group was taught before
     */
    public function kept(LessonCutter $cutter, PlacedForm $placed, array $learned): LessonCut
    {
        return $cutter->weighing($this->size()->lambda)->kept($placed->form, $this->course($placed)->scope($learned), $this->lessons(), $this->cut['first'] ?? 1);
    }

    /**
     * Which of its lessons hold any of some entries.
     *
     * @param  list<string>  $entries
     * @return list<int> by number
     */
    public function lessonNumbers(array $entries): array
    {
        return OwnLessons::numbersWith($this->lessons(), $this->cut['first'] ?? 1, $entries);
    }

    /** @return list<list<string>> the lessons it was cut into, each as its entries */
    public function lessons(): array
    {
        return $this->cut['lessons'] ?? [];
    }
}
