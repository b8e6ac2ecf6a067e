<?php

declare(strict_types=1);

namespace Database\Migrating;

use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use stdClass;

/**
 * One school's terms get a course each, and what was loose JSON of a meeting becomes `gorvan.plan/1`. Written against the
 * tables as they were, and against no class that may change later.
 */
final class PlansIntoDocuments
{
    public function __construct(private readonly stdClass $school)
    {
    }

    public function run(): void
    {
        foreach (DB::table('form_versions')->get() as $version) {
            $said = array_map(static fn (string $text): array => Message::of('version.told', text: $text)->toData(), json_decode($version->what, true));
            DB::table('form_versions')->where('id', $version->id)->update(['what' => json_encode($said)]);
        }
        foreach (DB::table('forms')->get() as $form) {
            $lessons = DB::table('lessons')->where('form_id', $form->id);
            DB::table('forms')->where('id', $form->id)->update(['lessons' => $lessons->count(), 'load' => (float) $lessons->sum('load')]);
        }
        foreach (DB::table('terms')->get() as $term) {
            $this->term($term);
        }
    }

    private function term(stdClass $term): void
    {
        $keys = []; // the entry's id in the form file by its row
        $order = [];
        foreach (DB::table('entries')->where('form_id', $term->form_id)->orderBy('position')->get(['id', 'key', 'position']) as $entry) {
            $keys[$entry->id] = $entry->key;
            if ($entry->position !== null) {
                $order[(int) $entry->position] = $entry->key;
            }
        }
        $lessons = DB::table('lessons')->where('form_id', $term->form_id)->orderBy('ordinal')->get()
            ->map(static fn (stdClass $lesson): array => array_values(array_filter($order, static fn (int $at): bool => $lesson->first <= $at && $at <= $lesson->last, ARRAY_FILTER_USE_KEY)))->all();
        $form = DB::table('forms')->where('id', $term->form_id)->sole();
        $course = (string) Str::uuid7();
        DB::table('courses')->insert([
            'id' => $course, 'school_id' => $this->school->id, 'term_id' => $term->id, 'form_id' => $term->form_id, 'ordinal' => 1,
            'approach' => $term->approach === 'pieces' ? 'piece' : $term->approach, 'share' => 1.0,
            // The course keeps the cut it was laid with, and the size the teacher gave the form's lessons.
            'lesson_load' => $form->target ?? ($form->lesson_count === null ? 4.0 : null), 'lesson_count' => $form->lesson_count,
            'pins' => '{}', 'cut' => json_encode(['lessons' => $lessons]),
        ]);
        DB::table('terms')->where('id', $term->id)->update([
            'warnings' => json_encode(array_map(self::kept(...), json_decode($term->warnings, true))),
            'planned_at' => now(),
        ]);
        foreach (DB::table('meetings')->where('term_id', $term->id)->whereNotNull('plan')->get() as $meeting) {
            DB::table('meetings')->where('id', $meeting->id)->update(['plan' => $this->plan($meeting, $course, $keys, $order)]);
        }
    }

    /**
     * @param  array<string, string>  $keys
     * @param  array<int, string>  $order
     */
    private function plan(stdClass $meeting, string $course, array $keys, array $order): string
    {
        $plan = json_decode($meeting->plan, true);
        $ids = static function (mixed $stored) use ($keys, $order): array {
            if (! is_array($stored)) {
                return [];
            }
            if (is_array($stored['ids'] ?? null)) {
                return array_values(array_filter(array_map(static fn (string $id): ?string => $keys[$id] ?? null, $stored['ids'])));
            }
            $ends = array_map(static fn (string $end): int => (int) array_search($keys[$stored[$end]] ?? null, $order, true), ['from', 'to']);

            return array_values(array_filter($order, static fn (int $at): bool => $ends[0] <= $at && $at <= $ends[1], ARRAY_FILTER_USE_KEY));
        };
        $lesson = $ids($plan['lesson'] ?? null);

        return json_encode([
            'format' => 'gorvan.plan/1',
            'on' => $meeting->on,
            'minutes' => $meeting->minutes,
            'kind' => $meeting->kind ?? 'consolidation',
            'boxes' => self::boxes($meeting->boxes),
            'focus' => [],
            'warm_up' => [],
            'courses' => [array_filter([
                'course' => $course,
                'lesson' => $lesson === [] ? null : array_filter(['entries' => $lesson, 'kind' => 'new', 'number' => $plan['lesson_number'] ?? null], static fn (mixed $value): bool => $value !== null),
                'recap' => $ids($plan['recap'] ?? null),
                'review' => array_map(static fn (array $item): array => ['entries' => $ids($item), 'passes' => $item['passes'], 'minutes' => $item['minutes'], 'why' => ['recall' => $item['mean_recall']]], $plan['review'] ?? []),
                'run_through' => $ids($plan['run_through'] ?? null),
                'forecast' => array_filter(['taught' => $plan['taught_after'] ?? 0, 'recall' => $plan['recall_after'] ?? null], static fn (mixed $value): bool => $value !== null),
            ], static fn (mixed $value): bool => $value !== null)],
            'pins' => [],
            'notes' => array_map(self::kept(...), $plan['notes'] ?? []),
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    /** @return list<array{kind: string, minutes: int}> */
    private static function boxes(?string $stored): array
    {
        $boxes = [];
        foreach (json_decode($stored ?? '[]', true) as $box => $minutes) {
            $boxes[] = ['kind' => (string) $box, 'minutes' => (int) $minutes];
        }

        return $boxes;
    }

    /**
     * A sentence that was kept as words.
     *
     * @return array{code: string, with: object}
     */
    private static function kept(string $text): array
    {
        return Message::of('plan.as_kept', text: $text)->toData();
    }
}
