<?php

declare(strict_types=1);

use App\Actions\FillGroup;
use App\Models\Student;

beforeEach(function () {
    $this->clockAt('2026-01-20T12:00:00+01:00');
    $this->own = $this->school('Own School', "1. Gather\n2. Step over the 100% stream\n3. Step back");
    $this->other = $this->school('Other School', '1. Gather elsewhere');
    $this->find = fn (string $find, ?string $on = null) => $this->actingAs($this->own['user'])->getJson('/api/find?'.http_build_query(array_filter(['find' => $find, 'on' => $on])));
});

test('a student is found by any part of the name, whoever begins with it first, with the groups that tell two apart', function () {
    $this->inside($this->own['user']->school, fn () => app(FillGroup::class)($this->own['group'], ['Ana Bo', 'Bo Marsh']));
    expect(($this->find)('bo')->assertOk()->json('students.*.name'))->toBe(['Bo', 'Bo Marsh', 'Ana Bo']);
    expect(($this->find)('bo')->json('students.0.groups'))->toBe(['Tuesdays']);
});

test('whoever is off the list is not offered', function () {
    $this->inside($this->own['user']->school, fn () => Student::where('name', 'Bo')->update(['off_list_at' => now()]));
    expect(($this->find)('bo')->json('students'))->toBe([]);
});

test('a movement is found with its form and its place in it', function () {
    $found = ($this->find)('step')->assertOk()->json('movements');
    expect(array_column($found, 'position'))->toBe([2, 3])->and($found[0])->toMatchArray(['form' => $this->own['form']->title, 'number' => 2, 'formId' => $this->own['form']->id]);
});

test('signs that mean anything to a database mean themselves', function (string $find, int $count) {
    expect(($this->find)($find)->assertOk()->json('movements'))->toHaveCount($count);
})->with([['100%', 1], ['%', 1], ['_', 0], ["o'b\\", 0]]);

test('classes are those of the day that is asked for, or the nearest of a group of that name', function () {
    expect(($this->find)('anything', '2026-02-03')->json('meetings.*.on'))->toBe(['2026-02-03']);
    $nearest = ($this->find)('tuesdays')->json('meetings.*.on');
    expect($nearest)->toHaveCount(8)->and(array_slice($nearest, 0, 3))->toBe(['2026-01-20', '2026-01-13', '2026-01-27']);
});

test('nothing of another school is found, by any name it has', function (string $find) {
    $found = ($this->find)($find)->assertOk()->json();
    expect(json_encode($found))->not->toContain('elsewhere')->not->toContain($this->other['group']->id);
})->with(['elsewhere', 'gather', 'tuesdays', 'a']);

test('nothing at all, or a whole page, is not looked for', function (string $find) {
    ($this->find)($find)->assertStatus(422);
})->with(['', '   ', str_repeat('a', 121)]);
