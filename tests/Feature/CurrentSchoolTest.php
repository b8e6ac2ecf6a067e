<?php

declare(strict_types=1);

use App\Models\CurrentSchool;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->current = app(CurrentSchool::class);
    $this->one = $this->found('One School')->school;
    $this->two = $this->found('Two School')->school;
    $this->told = fn (): string => (string) DB::scalar("select current_setting('gorvan.school', true)");
});

test('entering a school tells PostgreSQL, and leaving takes it back', function () {
    $this->current->enter($this->one);
    expect(($this->told)())->toBe($this->one->id)->and($this->current->id())->toBe($this->one->id);
    $this->current->leave();
    expect(($this->told)())->toBe('');
});

test('work inside another school comes back to where it was', function () {
    $this->current->enter($this->one);
    $inside = $this->current->during($this->two, fn (): array => [$this->current->id(), ($this->told)()]);
    expect($inside)->toBe([$this->two->id, $this->two->id])
        ->and($this->current->id())->toBe($this->one->id)
        ->and(($this->told)())->toBe($this->one->id);
});

test('work that fails comes back too, and its own error is told', function () {
    $this->current->enter($this->one);
    try {
        $this->current->during($this->two, fn () => throw new DomainException('spilt'));
    } catch (DomainException $e) {
        expect($e->getMessage())->toBe('spilt')->and($this->current->id())->toBe($this->one->id);

        return;
    }
    $this->fail('The error was lost.');
});

test('outside any school there is nothing to ask', function () {
    $this->current->leave();
    $this->current->get();
})->throws(LogicException::class, 'enter one first');

test('today is the day where the school is', function (string $zone, string $today) {
    $this->clockAt('2026-01-06T23:30:00Z');
    $this->current->enter($this->one);
    $this->one->update(['timezone' => $zone]);
    expect($this->current->today())->toBe($today);
})->with([
    ['Europe/Berlin', '2026-01-07'],
    ['Europe/London', '2026-01-06'],
    ['Pacific/Kiritimati', '2026-01-07'],
    ['America/Los_Angeles', '2026-01-06'],
]);
