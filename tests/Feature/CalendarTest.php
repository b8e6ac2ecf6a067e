<?php

declare(strict_types=1);

use Gorvan\Core\Calendar\ClosuresReader;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Tests\Said;

beforeEach(function () {
    $this->clockAt('2026-01-06T12:00:00+01:00');
    ['user' => $this->user, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->actingAs($this->user);
});

test('a feed is read by whoever has its address, until it is revoked or made anew', function () {
    $first = $this->postJson("/api/groups/{$this->group->id}/feed")->assertCreated()->json('address');
    expect($this->getJson("/api/groups/{$this->group->id}")->json('group.hasFeed'))->toBeTrue();
    auth()->forgetGuards();
    $feed = $this->get($first)->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent();
    expect($feed)->toStartWith("BEGIN:VCALENDAR\r\n")->and(substr_count($feed, 'BEGIN:VEVENT'))->toBe(10)->and($feed)->not->toContain('Ada');
    $this->actingAs($this->user);
    $second = $this->postJson("/api/groups/{$this->group->id}/feed")->json('address');
    $this->get($first)->assertNotFound();
    $this->get($second)->assertOk();
    $this->deleteJson("/api/groups/{$this->group->id}/feed")->assertNoContent();
    $this->get($second)->assertNotFound();
    $this->get(str_replace('.ics', 'x.ics', $second))->assertStatus(200); // no feed at all: the page, which knows no such place
});

test('a meeting that changes is told again under its own name, with a greater number', function () {
    $file = fn (): string => str_replace("\r\n ", '', $this->get("/api/groups/{$this->group->id}/calendar")->assertOk()->getContent());
    $event = fn (string $id): string => explode('END:VEVENT', explode("UID:$id@gorvan.invalid", $file())[1])[0];
    $meetings = $this->meetings($this->term);
    $number = fn (string $id): int => (int) explode("\r\n", explode('SEQUENCE:', $event($id))[1])[0];
    $was = $number($meetings[2]->id);
    $version = $this->getJson("/api/terms/{$this->term->id}")->json('version');
    $this->postJson("/api/terms/{$this->term->id}/changes", ['version' => $version, 'changes' => [['what' => 'move', 'meeting' => $meetings[2]->id, 'to' => '2026-01-24'], ['what' => 'cancel', 'meeting' => $meetings[3]->id, 'reason' => 'frost, and ice']]])->assertCreated();
    expect($number($meetings[2]->id))->toBeGreaterThan($was)->and($event($meetings[2]->id))->toContain('DTSTART:20260124T180000Z')
        ->and($event($meetings[3]->id))->toContain('STATUS:CANCELLED')->toContain('frost\, and ice');
});

test('closures come out of a calendar file: whole days, times, repetitions, what was taken out', function () {
    $file = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nDTSTART;VALUE=DATE:20260216\r\nDTEND;VALUE=DATE:20260221\r\nSUMMARY:Half\\, term\r\nEND:VEVENT\r\n"
        ."BEGIN:VEVENT\r\nDTSTART:20260105T090000\r\nDTEND:20260105T170000\r\nRRULE:FREQ=WEEKLY;COUNT=4\r\nEXDATE:20260112T090000\r\nSUMMARY:Long\r\n  name\r\nEND:VEVENT\r\n"
        ."BEGIN:VEVENT\r\nDTSTART;VALUE=DATE:20200301\r\nRRULE:FREQ=YEARLY\r\nSUMMARY:St\r\nEND:VEVENT\r\n"
        ."BEGIN:VEVENT\r\nDTSTART;VALUE=DATE:20260110\r\nSTATUS:CANCELLED\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
    $answer = $this->postJson('/api/calendar/closures', ['text' => $file, 'from' => '2026-01-01', 'to' => '2026-03-31'])->assertOk();
    expect(array_map(fn (array $one) => [$one['from'], $one['to'], $one['title']], $answer->json('closures')))->toBe([
        ['2026-01-05', '2026-01-05', 'Long name'], ['2026-01-19', '2026-01-19', 'Long name'], ['2026-01-26', '2026-01-26', 'Long name'],
        ['2026-02-16', '2026-02-20', 'Half, term'], ['2026-03-01', '2026-03-01', 'St'],
    ]);
});

test('days that are none, or the wrong way round, are refused before the file is read', function (mixed $from, mixed $to) {
    $this->postJson('/api/calendar/closures', ['text' => 'BEGIN:VCALENDAR', 'from' => $from, 'to' => $to])->assertStatus(422);
})->with([[['a' => ['b' => 1]], '2026-03-31'], ['2026-01-01', ['x']], ['tomorrow', '2026-03-31'], ['2026-03-31', '2026-01-01'], [7, 8]]);

test('a calendar file with errors says the line, and a bomb of repetitions is bounded and said', function () {
    $event = fn (string $inside) => "BEGIN:VCALENDAR\nBEGIN:VEVENT\n$inside\nEND:VEVENT\nEND:VCALENDAR\n";
    expect($this->said($this->postJson('/api/calendar/closures', ['text' => 'hello', 'from' => '2026-01-01', 'to' => '2026-03-31'])->assertStatus(422)))->toContain('no iCalendar file')
        ->and($this->said($this->postJson('/api/calendar/closures', ['text' => $event('DTSTART;VALUE=DATE:20261340'), 'from' => '2026-01-01', 'to' => '2026-03-31'])->assertStatus(422)))->toContain('3')->toContain('20261340');
    $bomb = $event("DTSTART;VALUE=DATE:19000101\nRRULE:FREQ=DAILY;INTERVAL=1\nSUMMARY:x");
    expect(ClosuresReader::read($bomb, '2026-01-01', '2026-03-31')->days)->toBe([]); // 4,000 turns do not come that far
    $many = ClosuresReader::read($event("DTSTART;VALUE=DATE:20260101\nRRULE:FREQ=DAILY\nSUMMARY:x"), '2026-01-01', '2028-03-31');
    expect($many->days)->toHaveCount(400)->and(Said::all($many->warnings))->toContain('more than 400 times');
    $odd = ClosuresReader::read($event("DTSTART;VALUE=DATE:20260105\nRRULE:FREQ=MONTHLY;BYDAY=1MO\nSUMMARY:x"), '2026-01-01', '2026-03-31');
    expect($odd->days)->toHaveCount(1)->and(Said::all($odd->warnings))->toContain('line 2');
    expect(fn () => ClosuresReader::read("BEGIN:VCALENDAR\nBEGIN:VEVENT\nSUMMARY:x\nEND:VEVENT\n", '2026-01-01', '2026-03-31'))->toThrow(BadInput::class);
});
