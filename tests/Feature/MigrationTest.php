<?php

declare(strict_types=1);

use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\School;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** Brings a schema of its own to where the migrations of some names lead. */
function migrated(string ...$names): void
{
    foreach ($names as $name) {
        Artisan::call('migrate', ['--force' => true, '--path' => "database/migrations/$name.php"]);
    }
}

test('a form kept before whole scores were kept is the same form afterwards, unknown keys and sections too', function () {
    DB::statement('create schema before_scores');
    DB::statement('set local search_path to before_scores');
    migrated('2026_01_01_000001_create_schools_and_users', '2026_01_01_000002_create_school_rows');
    $school = '01900000-0000-7000-8000-000000000001';
    $form = '01900000-0000-7000-8000-000000000002';
    DB::table('schools')->insert(['id' => $school, 'name' => 'Old', 'timezone' => 'Europe/Berlin', 'created_at' => now(), 'updated_at' => now()]);
    DB::statement("select set_config('gorvan.school', ?, false)", [$school]);
    DB::table('forms')->insert(['id' => $form, 'school_id' => $school, 'title' => 'Old form', 'family' => 'Heron', 'announced' => 2, 'breath_seconds' => 5.5, 'footfall' => 'heel', 'others' => '{"house": {"a": 1}}']);
    DB::table('sections')->insert(['id' => '01900000-0000-7000-8000-000000000003', 'school_id' => $school, 'form_id' => $form, 'title' => 'S', 'first' => 1, 'last' => 2, 'others' => '{"hall": {}}']);
    foreach (['a' => 1, 'b' => 2] as $key => $position) {
        DB::table('entries')->insert(['id' => "01900000-0000-7000-8000-00000000001$position", 'school_id' => $school, 'form_id' => $form, 'position' => $position, 'key' => $key, 'score' => json_encode(['id' => $key, 'kind' => 'movement', 'title' => strtoupper($key)])]);
    }
    migrated('2026_02_01_000001_keep_whole_scores');
    $read = app(CurrentSchool::class)->during(School::findOrFail($school), fn () => Form::firstOrFail()->score()->form);
    expect([$read->title, $read->family, $read->announced, $read->breathSeconds, $read->footfall?->value])->toBe(['Old form', 'Heron', 2, 5.5, 'heel'])
        ->and([$read->sections[0]->title, $read->sections[0]->last])->toBe(['S', 2])
        ->and($read->others['house'])->toEqual((object) ['a' => 1])
        ->and($read->sections[0]->others['hall'])->toEqual(new stdClass)
        ->and(array_map(fn ($entry) => $entry->title, $read->entries))->toBe(['A', 'B']);
});
