<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Lesson\Content\WrittenLesson;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A lesson as a teacher has written it, for the form alone or as one group learns it in one term.
 *
 * @property string $form_id
 * @property string|null $course_id
 * @property string|null $used_from  the lesson it was made from
 * @property string $document
 * @property int $version
 * @property int $form_version  of the form it was last looked over with
 * @property Form $form
 * @property Course|null $course
 * @property \Illuminate\Database\Eloquent\Collection<int, DrillStep> $steps
 */
final class KeptLesson extends Model
{
    use BelongsToSchool;

    protected $table = 'lessons';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['version' => 'integer', 'form_version' => 'integer'];
    }

    /** @return BelongsTo<Form, $this> */
    public function form(): BelongsTo
    {
        return $this->belongsTo(Form::class, 'form_id');
    }

    /** @return BelongsTo<Course, $this> */
    public function course(): BelongsTo
    {
        return $this->belongsTo(Course::class, 'course_id');
    }

    /** @return HasMany<DrillStep, $this> */
    public function steps(): HasMany
    {
        return $this->hasMany(DrillStep::class, 'lesson_id');
    }

    /**
     * A course's own lessons, and the form's that the course has no copy of.
     *
     * @param  (callable(Builder<self>): mixed)|null  $only  narrows them
     * @return list<self> in the order in which they were written
     */
    public static function of(Course $course, ?callable $only = null): array
    {
        $query = self::where('form_id', $course->form_id)->where(static fn ($either) => $either->where('course_id', $course->id)->orWhereNull('course_id'));
        $only === null || $only($query);
        $rows = $query->orderBy('created_at')->orderBy('id')->get();
        $copied = $rows->whereNotNull('course_id')->pluck('used_from')->filter()->all();

        return array_values($rows->reject(static fn (self $one): bool => $one->course_id === null && in_array($one->id, $copied, true))->all());
    }

    public function written(): WrittenLesson
    {
        return WrittenLesson::read(JsonNode::parse($this->document));
    }
}
