<?php

declare(strict_types=1);

use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Record\ClassLog;
use Gorvan\Core\Record\Contact;
use Gorvan\Core\Tests\Said;

const EVENING = '{ "format": "gorvan.log/1", "id": "01J", "meeting": "m", "on": "2026-11-25", "made_at": "2026-11-25T20:31:07+01:00", "minutes": 70,
  "present": ["s1", "s2"], "careful": ["s2"], "guests": [{ "id": "01K", "name": "Una", "first_time": true }], "late": { "s2": 25 }, "left": { "s1": 30 },
  "did": [ { "what": "taught", "form": "f", "entries": ["e17", "e18"], "side": "left", "minutes": 22 },
    { "what": "shown", "entries": ["e19"], "minutes": 4, "note": "rough shape only" },
    { "what": "reviewed", "entries": ["e01", "e02"], "passes": 3, "minutes": 12, "students": ["s1"] },
    { "what": "run_through", "entries": ["e16", "e17"] }, { "what": "focus", "principles": ["p03"], "minutes": 8 },
    { "what": "restarted", "at": "e17" }, { "what": "joined", "from": "e09", "to": "e17", "note": "no room" }, { "what": "left_out", "box": "run_through" } ],
  "first_next": ["e19"], "note": "wet floor", "mood": 3 }';

/** @return list<string> */
function contacts(ClassLog $log, string $student): array
{
    return array_map(fn (Contact $contact) => "{$contact->kind->value} $contact->id".($contact->side === null ? '' : " {$contact->side->value}"), $log->contactsOf($student));
}

test('a log says what the class was for each student, by who was there when', function () {
    $log = ClassLog::read(JsonNode::parse(EVENING));
    expect(contacts($log, 's1'))->toBe(['taught e17 left', 'taught e18 left', 'practice e01', 'practice e02']) // left at 30: no run-through at 38
        ->and(contacts($log, 's2'))->toBe(['run_through e16', 'run_through e17', 'taught p03']) // came at 25, during what was shown, which leaves nothing
        ->and(contacts($log, '01K'))->toContain('taught e17 left')
        ->and(contacts($log, 's3'))->toBe([])
        ->and($log->taught())->toBe([['f', 'e17'], ['f', 'e18']])
        ->and($log->did[0]->side)->toBe(Side::Left);
});

test('a log comes back as it went, with what is not known here', function () {
    $log = ClassLog::read(JsonNode::parse(EVENING));
    $again = ClassLog::read(JsonNode::parse($log->json()));
    expect($again)->toEqual($log)->and(json_decode($log->json(), true))->toEqual(json_decode(EVENING, true));
});

test('who came after the end of a doing, or went before its start, has no contact from it', function (array $late, array $left, array $entries) {
    $log = ClassLog::read(JsonNode::of((object) ['format' => 'gorvan.log/1', 'id' => 'x', 'on' => '2026-01-06', 'made_at' => '2026-01-06T20:00:00Z', 'present' => ['s'], 'late' => (object) $late, 'left' => (object) $left, 'did' => [
        (object) ['what' => 'reviewed', 'entries' => ['a'], 'minutes' => 10], (object) ['what' => 'reviewed', 'entries' => ['b'], 'minutes' => 10], (object) ['what' => 'run_through', 'entries' => ['c']],
    ]]));
    expect(array_map(fn (Contact $contact) => $contact->id, $log->contactsOf('s')))->toBe($entries);
})->with([
    [[], [], ['a', 'b', 'c']],
    [['s' => 9.5], [], ['a', 'b', 'c']],
    [['s' => 10], [], ['b', 'c']],
    [['s' => 20], [], ['c']],
    [['s' => 20.5], [], []],
    [[], ['s' => 10], ['a']],
    [[], ['s' => 10.5], ['a', 'b']],
    [[], ['s' => 0], []],
]);

test('what each doing was for each student, by a written table', function (array $doing, array $log, string $student, array $contacts) {
    $whole = (object) [...['format' => 'gorvan.log/1', 'id' => 'x', 'on' => '2026-01-06', 'made_at' => '2026-01-06T20:00:00Z', 'present' => ['s', 'o'], 'did' => [(object) ['what' => 'warm_up', 'minutes' => 15], (object) $doing, (object) ['what' => 'run_through', 'entries' => ['z'], 'minutes' => 5]]], ...$log];
    expect(contacts(ClassLog::read(JsonNode::of($whole)), $student))->toBe($contacts);
})->with([
    'taught, for who was there' => [['what' => 'taught', 'entries' => ['a'], 'minutes' => 20], [], 's', ['taught a', 'run_through z']],
    'only shown is exposure, and leaves nothing' => [['what' => 'shown', 'entries' => ['a'], 'minutes' => 4], [], 's', ['run_through z']],
    'followed along leaves nothing either' => [['what' => 'followed', 'entries' => ['a'], 'minutes' => 4], [], 's', ['run_through z']],
    'known before' => [['what' => 'before', 'entries' => ['a']], [], 's', ['before a', 'run_through z']],
    'for some of those there' => [['what' => 'reviewed', 'entries' => ['a'], 'minutes' => 10, 'students' => ['o']], [], 's', ['run_through z']],
    'away' => [['what' => 'taught', 'entries' => ['a'], 'minutes' => 20], ['present' => ['o']], 's', []],
    'came in the middle of it' => [['what' => 'taught', 'entries' => ['a'], 'minutes' => 20], ['late' => (object) ['s' => 30]], 's', ['taught a', 'run_through z']],
    'came when it was over' => [['what' => 'taught', 'entries' => ['a'], 'minutes' => 20], ['late' => (object) ['s' => 35]], 's', ['run_through z']],
    'came late and missed only the warm-up' => [['what' => 'taught', 'entries' => ['a'], 'minutes' => 20], ['late' => (object) ['s' => 15]], 's', ['taught a', 'run_through z']],
    'left early' => [['what' => 'taught', 'entries' => ['a'], 'minutes' => 20], ['left' => (object) ['s' => 30]], 's', ['taught a']],
    'left before it' => [['what' => 'taught', 'entries' => ['a'], 'minutes' => 20], ['left' => (object) ['s' => 15]], 's', []],
    'came late and left early, in between' => [['what' => 'taught', 'entries' => ['a'], 'minutes' => 20], ['late' => (object) ['s' => 20], 'left' => (object) ['s' => 25]], 's', ['taught a']],
    'a guest has what everyone has' => [['what' => 'taught', 'entries' => ['a'], 'minutes' => 20], ['guests' => [(object) ['id' => 'g', 'name' => 'Una']]], 'g', ['taught a', 'run_through z']],
    'a guest who left' => [['what' => 'taught', 'entries' => ['a'], 'minutes' => 20], ['guests' => [(object) ['id' => 'g', 'name' => 'Una']], 'left' => (object) ['g' => 20]], 'g', ['taught a']],
    'joined over, started again and left out leave nothing' => [['what' => 'joined', 'from' => 'a', 'to' => 'b'], [], 's', ['run_through z']],
]);

test('a log that cannot be is refused at its place', function (array $change, string $place, string $says) {
    try {
        ClassLog::read(JsonNode::of((object) [...get_object_vars(json_decode(EVENING)), ...$change]));
    } catch (BadInput $e) {
        expect($e->place)->toBe($place)->and(Said::of($e->reason))->toContain($says);

        return;
    }
    $this->fail('It was read.');
})->with([
    [['format' => 'gorvan.log/2'], '$.format', 'gorvan.log/1'],
    [['on' => '2026-13-01'], '$.on', 'not a day'],
    [['made_at' => '2026-11-25T20:31:07'], '$.made_at', 'offset'],
    [['present' => 's1'], '$.present', 'a list'],
    [['did' => [(object) ['what' => 'danced']]], '$.did[0].what', 'must be one of before, taught'],
    [['did' => [(object) ['what' => 'taught', 'side' => 'both']]], '$.did[0].side', 'left or right'],
    [['late' => (object) ['s2' => -1]], '$.late.s2', 'between 0 and 1440'],
    [['guests' => [(object) ['id' => 'x']]], '$.guests[0]', '"name" is missing'],
]);
