<?php

declare(strict_types=1);

test('movements with one history have one recall: taught on one day, and met on the same days since', function () {
    ['user' => $user, 'term' => $term, 'group' => $group] = $this->school('Long', "# Long\n".implode("\n", array_map(fn (int $at) => "$at. Reed $at", range(1, 30))));
    auth()->forgetGuards();
    $this->flushSession();
    $this->actingAs($user);
    $rank = ['taught' => 3, 'reviewed' => 2, 'run_through' => 1];
    $history = [];
    foreach (array_slice($this->meetings($term), 0, 6) as $meeting) {
        $this->clockAt($meeting->on.'T21:00:00+01:00');
        $log = $this->asPlanned($meeting);
        $this->postJson("/api/meetings/$meeting->id/log", $log)->assertNoContent();
        foreach ($log['did'] as $doing) {
            foreach (isset($rank[$doing['what']]) ? $doing['entries'] ?? [] : [] as $entry) {
                $history[$entry][$meeting->on] = max($history[$entry][$meeting->on] ?? 0, $rank[$doing['what']]);
            }
        }
    }
    $alike = collect($history)->groupBy(static fn (array $days): string => json_encode($days), true)->filter(static fn ($some): bool => $some->count() > 1);
    expect($alike)->not->toBeEmpty();
    $student = $this->getJson("/api/groups/$group->id")->json('students.0');
    $recalls = collect($student['cells'])->map(self::cell(...))->pluck('recall', 'position');
    foreach ($alike as $some) {
        $positions = $some->keys()->map(static fn (string $key): int => (int) substr($key, 1));
        expect($recalls->only($positions->all())->unique())->toHaveCount(1);
    }
});

test('as soon as a class is logged the sheet is about the days after it, also where it is logged before it began', function () {
    ['user' => $user, 'term' => $term, 'group' => $group] = $this->school();
    $this->actingAs($user);
    $meetings = $this->meetings($term);
    $log = fn (int $at) => $this->postJson("/api/meetings/{$meetings[$at]->id}/log", $this->asPlanned($meetings[$at]))->assertNoContent();
    $this->clockAt($meetings[0]->on.'T21:00:00+01:00');
    $log(0);
    $week = fn (): array => array_intersect_key($this->getJson("/api/groups/$group->id/practice")->assertOk()->json(), ['on' => 1, 'next' => 1]);
    $this->clockAt($meetings[1]->on.'T12:00:00+01:00');
    expect($week())->toBe(['on' => $meetings[0]->on, 'next' => $meetings[1]->on]);
    $log(1); // at noon, for the evening
    expect($week())->toBe(['on' => $meetings[1]->on, 'next' => $meetings[2]->on]);
});
