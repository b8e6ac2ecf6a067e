<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/**
 * Runs a command as a person would, with no database to be found.
 *
 * @param  array<string, string>  $others  more files by name
 * @return array{int, string, string}
 */
function artisan(array $arguments, ?string $file = null, string $name = 'given.txt', array $others = []): array
{
    $folder = sys_get_temp_dir().'/gorvan-'.bin2hex(random_bytes(6));
    mkdir($folder);
    if ($file !== null) {
        file_put_contents("$folder/$name", $file);
    }
    foreach ($others as $other => $text) {
        file_put_contents("$folder/$other", $text);
    }
    $process = new Process(['php', base_path('artisan'), ...$arguments], $folder, ['DB_HOST' => '127.0.0.1', 'DB_PORT' => '1', 'DB_PASSWORD' => 'none', 'COLUMNS' => '200'], null, 300);
    $process->run();
    array_map(unlink(...), glob("$folder/*"));
    rmdir($folder);

    return [$process->getExitCode(), $process->getOutput(), $process->getErrorOutput()];
}

test('gorvan:cut prints the cut as the design defines it', function () {
    [$exit, $out] = artisan(['gorvan:cut', 'heron.txt', '--json', '--lessons=2'], "1. Opening\n2. Heron (L)\n3. Heron (R)\n4. Wade\n", 'heron.txt');
    $cut = json_decode($out, true);
    expect($exit)->toBe(0)
        ->and(array_keys($cut))->toBe(['form', 'target', 'lambda', 'objective', 'entries', 'joins', 'lessons', 'warnings'])
        ->and($cut['form'])->toBe(['title' => 'heron', 'entries' => 4])
        ->and($cut['target'])->toEqualWithDelta(1.8, 1e-12) // 0.5 + 1.2 + 0.7 + 1.2, over two
        ->and($cut['entries'][2])->toEqual(['position' => 3, 'id' => 'e03', 'number' => 3, 'title' => 'Heron', 'demand' => 1, 'newness' => 0.5, 'load' => 0.7])
        ->and($cut['joins'])->toHaveCount(3)
        ->and($cut['joins'][0])->toEqual(['after' => 1, 'rest' => 0.2, 'pin' => null])
        ->and(array_column($cut['lessons'], 'to'))->toBe([2, 4])
        ->and($cut['warnings'])->toBe(['inferred: entry 3 mirrors entry 2']);
});

test('gorvan:recall prints standings, in order of first appearance, and {} for none', function () {
    $events = fn (array $events) => json_encode(['timezone' => 'Europe/Berlin', 'events' => $events]);
    [$exit, $out] = artisan(['gorvan:recall', 'given.txt', '--on=2026-01-13', '--json'], $events([
        ['id' => '1', 'entry' => '7', 'at' => '2026-01-06T20:00:00+01:00', 'kind' => 'taught'],
        ['id' => '2', 'entry' => 'a', 'at' => '2026-01-06T20:00:00+01:00', 'kind' => 'mark', 'support' => 'Alone'],
    ]));
    $told = json_decode($out, true);
    expect($exit)->toBe(0)->and($told['on'])->toBe('2026-01-13')
        ->and(array_keys($told['entries']))->toBe([7, 'a'])
        ->and(array_keys($told['entries']['a']))->toBe(['support', 'stability', 'difficulty', 'recall', 'last', 'updates'])
        ->and($told['entries']['7'])->support->toBeNull()
        ->and($told['entries']['a']['recall'])->toEqualWithDelta(0.808, 5e-4);
    expect(artisan(['gorvan:recall', 'given.txt', '--json', '--on=2026-01-01'], $events([]))[1])->toContain('"entries": {}');
});

test('gorvan:standing prints verdicts by student, from marks, contacts and home practice', function () {
    $at = fn (string $day): string => "{$day}T20:00:00+01:00";
    $contact = fn (string $id, string $entry, string $kind, string $day, array $more = []): array => ['id' => $id, 'entry' => $entry, 'at' => $at($day), 'kind' => $kind, ...$more];
    $record = json_encode([
        'timezone' => 'Europe/Berlin', 'group' => ['s1', 's2', 's3'],
        'students' => [
            's1' => [$contact('1', 'e01', 'mark', '2026-01-06', ['support' => 'Flowing']), $contact('2', 'e02', 'mark', '2026-01-06', ['support' => 'Alone', 'side' => 'left'])],
            's2' => [$contact('3', 'e01', 'taught', '2026-01-06'), $contact('4', 'e01', 'home', '2026-01-09'), $contact('5', 'e02', 'taught', '2026-01-06'), ['id' => '6', 'kind' => 'withdraw', 'of' => '5', 'at' => $at('2026-01-07')]],
        ],
        'taught' => [['on' => '2026-01-06', 'from' => 1, 'to' => 2], ['on' => '2026-01-20', 'from' => 3, 'to' => 3]],
        'recap' => [1, 2],
    ]);
    [$exit, $out, $errors] = artisan(['gorvan:standing', 'heron.txt', 'record.json', '--on=2026-01-13', '--json'], "1. Gather\n2. Heron (L-R)\n3. Wade\n", 'heron.txt', ['record.json' => $record]);
    expect($errors)->toBe('')->and($exit)->toBe(0);
    $told = json_decode($out, true);
    expect(array_keys($told))->toBe(['on', 'students'])->and($told['on'])->toBe('2026-01-13')
        ->and(array_keys($told['students']))->toBe(['s1', 's2', 's3'])
        ->and(array_keys($told['students']['s1']))->toBe(['frontier', 'holding', 'holes', 'behind', 'missed', 'ready', 'why', 'entries']);
    [$first, $second, $third] = array_values($told['students']);
    // Left alone, right never seen: the weaker side stands for the entry, which is then behind.
    expect([$first['frontier'], $first['holding'], $first['behind'], $first['missed'], $first['ready']])->toBe([1, [1], [2], [2], 'not_yet'])
        ->and($first['why'])->toHaveCount(1)->and($first['why'][0])->toMatchArray(['entry' => 'e02', 'reason' => 'never_met'])
        ->and($first['entries']['e02']['left'])->toMatchArray(['support' => 'Alone', 'passes' => true])
        ->and($first['entries']['e02']['right'])->toBe(['support' => null, 'recall' => null, 'passes' => false, 'holds' => false, 'assumed' => false]);
    expect($second['missed'])->toBe([2])->and(array_keys($second['entries']))->toBe(['e01'])
        ->and($third)->toBe(['frontier' => null, 'holding' => [], 'holes' => [], 'behind' => [1, 2], 'missed' => [1, 2], 'ready' => 'not_yet', 'why' => [
            ['entry' => 'e01', 'reason' => 'never_met', 'support' => null, 'recall' => null], ['entry' => 'e02', 'reason' => 'never_met', 'support' => null, 'recall' => null],
        ], 'entries' => []]);
    // What was withdrawn after the day asked for was never so; a side of an entry that has none is refused with its place.
    $wrong = str_replace('"entry":"e02","at":"2026-01-06T20:00:00+01:00","kind":"mark"', '"entry":"e03","at":"2026-01-06T20:00:00+01:00","kind":"mark"', $record);
    [$exit, $out, $errors] = artisan(['gorvan:standing', 'heron.txt', 'record.json', '--json'], "1. Gather\n2. Heron (L-R)\n3. Wade\n", 'heron.txt', ['record.json' => $wrong]);
    expect($exit)->toBe(2)->and($out)->toBe('')->and(substr_count($errors, "\n"))->toBe(1)->and($errors)->toContain('$.students.s1[1].side');
    [$exit, $out] = artisan(['gorvan:standing', 'heron.txt', 'record.json', '--on=2026-01-13'], "1. Gather\n2. Heron (L-R)\n3. Wade\n", 'heron.txt', ['record.json' => $record]);
    expect($exit)->toBe(0)->and($out)->toContain('Frontier')->toContain('not_yet');
});

test('a key that gorvan:recall does not know is said beside the data, which stay as they are', function () {
    $events = '{"timezone":"UTC","events":[{"id":"1","entry":"a","at":"2026-01-06T20:00:00Z","kind":"taught","support":"Alone"}]}';
    [$exit, $out, $errors] = artisan(['gorvan:recall', 'given.json', '--json', '--on=2026-01-07'], $events, 'given.json');
    expect($exit)->toBe(0)->and(array_keys(json_decode($out, true)))->toBe(['on', 'entries'])
        ->and($errors)->toBe("! \$.events[0]: \"support\" is not known here and changes nothing\n");
});

test('gorvan:dates prints meetings with their offset', function () {
    [$exit, $out] = artisan(['gorvan:dates', 'given.txt', '--json'], '{"from":"2026-03-24","to":"2026-04-01","timezone":"Europe/Berlin","pattern":[{"weekday":"Tue","at":"19:00","minutes":60}]}');
    expect($exit)->toBe(0)->and(json_decode($out, true)['meetings'])->toBe([
        ['on' => '2026-03-24', 'starts' => '2026-03-24T19:00:00+01:00', 'minutes' => 60],
        ['on' => '2026-03-31', 'starts' => '2026-03-31T19:00:00+02:00', 'minutes' => 60],
    ]);
});

test('people get a table', function () {
    [$exit, $out] = artisan(['gorvan:cut', 'given.txt'], "1. Heron\n2. Wade\n");
    expect($exit)->toBe(0)->and($out)->toContain('| Lesson |')->toContain('given: 2 entries, load 2.2, 1 lesson of about');
    expect(artisan(['gorvan:cut', 'given.txt'], '1. Heron')[1])->toContain('given: 1 entry, load 1, 1 lesson of about')
        ->and(artisan(['gorvan:cut', 'given.txt', '--lessons=2'], '1. Heron')[2])->toContain('a form of 1 entry is 1 lesson');
});

test('gorvan:review prints the passages that are worth most, quarters rounded up', function () {
    $problem = json_encode(['entries' => [['value' => 1, 'minutes' => 0.6], ['value' => 0.4, 'minutes' => 0.6], null, ['value' => -1, 'minutes' => 0]], 'budget' => 3]);
    [$exit, $out] = artisan(['gorvan:review', 'given.txt', '--json'], $problem);
    expect($exit)->toBe(0)->and(json_decode($out, true))->toEqual(['value' => 1.4, 'worth' => 1.4, 'minutes' => 3, 'passages' => [['from' => 1, 'to' => 2, 'minutes' => 3, 'value' => 1.4, 'worth' => 1.4]]]);
    // At a price of a minute what is worth less than its time is left out; an entry can have a price of its own.
    $priced = ['entries' => [['value' => 0.1, 'minutes' => 1], ['value' => 0.1, 'minutes' => 4], ['value' => 0.01, 'minutes' => 1, 'price' => 0]], 'budget' => 20, 'setup' => 1, 'price' => 0.04];
    $chosen = json_decode(artisan(['gorvan:review', 'given.txt', '--json'], json_encode($priced))[1], true);
    expect([$chosen['passages'][0]['from'], $chosen['passages'][0]['to']])->toBe([1, 3])->and($chosen['worth'])->toEqualWithDelta(0.21 - 0.04 * (1 + 1 + 2), 1e-12); // of four minutes two are priced
    [$exit, $out, $errors] = artisan(['gorvan:review', 'given.txt', '--json'], '{"entries":[{"value":"x","minutes":1}],"budget":3}');
    expect([$exit, $out])->toBe([2, ''])->and($errors)->toContain('$.entries[0].value');
    [, $table] = artisan(['gorvan:review', 'given.txt'], $problem);
    expect($table)->toContain('Minutes');
});

test('gorvan:watch says whom to look at first, in what, and why', function () {
    $problem = ['students' => [
        ['id' => 'sure', 'attended_since_mark' => 0, 'recall' => ['e1' => 0.99, 'e2' => 0.99]],
        ['id' => 'never', 'attended_since_mark' => null, 'recall' => ['e3' => 0.9]],
        ['id' => 'half', 'attended_since_mark' => 0, 'recall' => ['e1' => 0.5]],
    ], 'tonight' => ['recap' => ['e1'], 'review' => [['e1', 'e2']], 'run_through' => []], 'other' => [['e3']], 'limit' => 2];
    [$exit, $out] = artisan(['gorvan:watch', 'given.txt', '--json'], json_encode($problem));
    $watch = json_decode($out, true)['watch'];
    expect($exit)->toBe(0)->and(array_keys(json_decode($out, true)))->toBe(['watch'])->and(array_column($watch, 'student'))->toBe(['never', 'half'])
        ->and($watch[0])->toMatchArray(['passage' => ['e3'], 'why' => 'never_marked'])
        ->and($watch[1])->toEqual(['student' => 'half', 'passage' => ['e1'], 'unsure' => 1, 'rank' => 0.5, 'why' => 'unsure']);
    [$exit, $out, $errors] = artisan(['gorvan:watch', 'given.txt', '--json'], '{"students":[{"id":"s","recall":{"e1":1.5}}]}');
    expect([$exit, $out])->toBe([2, ''])->and($errors)->toContain('$.students[0].recall.e1');
    [, $table] = artisan(['gorvan:watch', 'given.txt'], json_encode($problem));
    expect($table)->toContain('never_marked');
});

test('gorvan:plan prints a term for a class that starts with nothing, and what each choice of review saw', function () {
    $form = implode("\n", array_map(fn (int $at) => "$at. Reed $at", range(1, 24)));
    $term = ['from' => '2026-01-06', 'to' => '2026-03-24', 'timezone' => 'Europe/Berlin', 'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 75]], 'closures' => [['from' => '2026-02-16', 'to' => '2026-02-22']], 'showing' => ['on' => '2026-03-10', 'to' => 12], 'attendance' => 0.9];
    $run = fn (array $options, array $change = []) => artisan(['gorvan:plan', 'reeds.txt', 'term.json', ...$options], $form, 'reeds.txt', ['term.json' => json_encode([...$term, ...$change])]);
    [$exit, $out] = $run(['--json', '--explain']);
    $plan = json_decode($out, true);
    expect($exit)->toBe(0)->and(array_keys($plan))->toBe(['target', 'lessons', 'meetings', 'reach', 'holds', 'expected', 'pace', 'through_on', 'warnings'])
        ->and($plan['meetings'])->toHaveCount(11)
        ->and(array_keys($plan['meetings'][0]))->toBe(['on', 'minutes', 'kind', 'boxes', 'lessons', 'why', 'review', 'run_through', 'shown', 'forecast', 'entries', 'budget', 'price'])
        ->and($plan['meetings'][0]['lessons'][0])->toBe(['from' => 1, 'to' => 4, 'kind' => 'new']);
    // What it says it saw, given to the other command, chooses the same.
    foreach ($plan['meetings'] as $meeting) {
        [, $review] = artisan(['gorvan:review', 'given.txt', '--json'], json_encode(['entries' => $meeting['entries'], 'budget' => $meeting['budget'], 'price' => $meeting['price']]));
        expect(array_map(fn ($one) => [$one['from'], $one['to']], json_decode($review, true)['passages']))->toBe(array_map(fn ($one) => [$one['from'], $one['to']], array_values(array_filter($meeting['review'], fn ($one) => $one['value'] !== null))));
    }
    expect($run(['--json'])[1])->toBe($run(['--json'])[1])
        ->and(json_decode($run(['--json', '--approach=outline', '--students=3'])[1], true)['lessons'])->not->toBe($plan['lessons']);
    foreach ([[['--approach=dance'], [], 'outline, piece, sides or whole'], [['--students=0'], [], '"0" is not a whole number'], [[], ['showing' => ['on' => '2027-01-01', 'to' => 3]], 'choose one of these days'], [[], ['target' => [9, 2]], '$.target'], [[], ['attendance' => 2], '$.attendance']] as [$options, $change, $says]) {
        [$exit, $out, $errors] = $run([...$options, '--json'], $change);
        expect([$exit, $out])->toBe([2, ''])->and($errors)->toContain($says);
    }
});

test('gorvan:plan keeps a running order of its own, and gives nothing new where it has no part for it', function () {
    $form = implode("\n", array_map(fn (int $at) => "$at. Reed $at", range(1, 24)));
    $term = ['from' => '2026-01-06', 'to' => '2026-03-24', 'timezone' => 'Europe/Berlin', 'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 75]]];
    $plan = function (array ...$order) use ($form, $term): array {
        [$exit, $out] = artisan(['gorvan:plan', 'reeds.txt', 'term.json', '--json'], $form, 'reeds.txt', ['term.json' => json_encode([...$term, 'order' => $order])]);
        expect($exit)->toBe(0);

        return json_decode($out, true);
    };
    $around = [['kind' => 'warm_up', 'minutes' => 25], ['kind' => 'run_through'], ['kind' => 'focus'], ['kind' => 'review']];
    $own = $plan(...[...$around, ['kind' => 'new'], ['kind' => 'close', 'minutes' => 4]]);
    foreach ($own['meetings'] as $meeting) {
        $boxes = array_column($meeting['boxes'], 'minutes', 'kind');
        expect(array_values(array_diff(array_keys($boxes), ['free'])))->toBe(['warm_up', 'run_through', 'review', 'new', 'close'])
            ->and([$boxes['warm_up'], $boxes['close'], array_sum($boxes)])->toBe([25, 4, 75]);
    }
    expect($own['reach'])->toBe(24);
    $nothing = $plan(...$around);
    expect($nothing['reach'])->toBeNull()->and(array_merge(...array_column($nothing['meetings'], 'lessons')))->toBe([]);
});

test('what is wrong is one line on standard error, nothing on standard output, exit 2', function (array $arguments, ?string $file, string $says) {
    [$exit, $out, $errors] = artisan([...$arguments, '--json'], $file);
    expect($exit)->toBe(2)->and($out)->toBe('')->and(substr_count(trim($errors), "\n"))->toBe(0)->and($errors)->toContain($says);
})->with([
    'no file named' => [['gorvan:cut'], null, 'name the file'],
    'an option there is not' => [['gorvan:cut', 'given.txt', '--tagret=2'], 'A', 'gorvan:cut: The "--tagret" option does not exist'],
    'one file too many' => [['gorvan:dates', 'given.txt', 'other.txt'], '{}', 'gorvan:dates: '],
    'a target that is endless' => [['gorvan:cut', 'given.txt', '--target=1e999'], 'A', '--target: 1e999 is more than any lesson can carry'],
    'no such file' => [['gorvan:cut', 'nowhere.txt'], null, 'nowhere.txt: there is no such file'],
    'empty' => [['gorvan:cut', 'given.txt'], '', 'given.txt: there is no entry'],
    'line' => [['gorvan:cut', 'given.txt'], "A\n\xff", 'given.txt:2: '],
    'path' => [['gorvan:cut', 'given.txt'], '{"format":"gorvan.form/1","title":"T","entries":[{"id":"a"}]}', 'given.txt:$.entries[0]: "kind" is missing'],
    'target' => [['gorvan:cut', 'given.txt', '--target=x'], 'A', '--target'],
    'target of nothing' => [['gorvan:cut', 'given.txt', '--target=0'], 'A', 'more than 0'],
    'lessons' => [['gorvan:cut', 'given.txt', '--lessons=2'], 'A', 'is 1 lesson'],
    'both' => [['gorvan:cut', 'given.txt', '--lessons=1', '--target=2'], 'A', 'not both'],
    'day' => [['gorvan:recall', 'given.txt', '--on=soon'], '{}', '--on'],
    'event' => [['gorvan:recall', 'given.txt'], '{"timezone":"UTC","events":[{"id":"1"}]}', '$.events[0]: "at" is missing'],
    'term' => [['gorvan:dates', 'given.txt'], '{"from":"2026-03-24"}', '$: "to" is missing'],
]);

test('the pages and the command cut a form alike', function () {
    $user = $this->found();
    $this->actingAs($user);
    $shown = $this->postJson('/api/forms', ['text' => Tests\TestCase::LIST])->assertCreated()->json();
    $told = json_decode(artisan(['gorvan:cut', 'given.txt', '--json'], Tests\TestCase::LIST)[1], true);
    expect($told['objective'])->toEqualWithDelta($shown['objective'], 1e-12)
        ->and(array_column($told['lessons'], 'to'))->toBe(array_column($shown['lessons'], 'to'))
        ->and(array_column($told['entries'], 'load'))->toEqual(array_column($shown['entries'], 'load'))
        ->and(array_column($told['joins'], 'rest'))->toEqual(array_column($shown['joins'], 'rest'));
});

test('what the form file exports the command reads, pins and all', function () {
    $this->actingAs($this->found());
    $id = $this->postJson('/api/forms', ['text' => Tests\TestCase::LIST])->json('id');
    $cut = $this->putJson("/api/forms/$id/joins", ['joins' => [['after' => 3, 'pin' => 'always'], ['after' => 5, 'pin' => 'never']]])->assertOk()->json();
    $file = $this->get("/api/forms/$id/file")->getContent();
    $told = json_decode(artisan(['gorvan:cut', 'given.json', '--json'], $file, 'given.json')[1], true);
    expect(array_column($told['joins'], 'pin'))->toBe([null, null, 'always', null, 'never', null, null])
        ->and(array_column($told['lessons'], 'to'))->toBe(array_column($cut['lessons'], 'to'))
        ->and($told['form']['title'])->toBe('Short set');
});

test('a target of its own makes lessons of its own', function (string $target, int $lessons) {
    $told = json_decode(artisan(['gorvan:cut', 'given.txt', '--json', "--target=$target"], Tests\TestCase::LIST)[1], true);
    expect($told['lessons'])->toHaveCount($lessons)->and($told['target'])->toEqual((float) $target);
})->with([
    ['1', 8],
    ['2.5', 3],
    ['100', 1],
    ['1e2', 1],
]);

test('recall follows withdrawals and the day asked for', function () {
    $events = [
        ['id' => '1', 'entry' => 'a', 'at' => '2026-01-06T20:00:00+01:00', 'kind' => 'mark', 'support' => 'Alone'],
        ['id' => '2', 'entry' => 'a', 'at' => '2026-01-13T20:00:00+01:00', 'kind' => 'mark', 'support' => 'Following'],
        ['id' => '3', 'at' => '2026-01-14T20:00:00+01:00', 'kind' => 'withdraw', 'of' => '2'],
    ];
    $on = function (string $day) use ($events): array {
        shuffle($events);
        [, $out] = artisan(['gorvan:recall', 'given.json', '--json', "--on=$day"], json_encode(['timezone' => 'Europe/Berlin', 'events' => $events]), 'given.json');

        return json_decode($out, true)['entries'];
    };
    expect($on('2026-01-05'))->toBe([])
        ->and($on('2026-01-13')['a'])->toMatchArray(['support' => 'Alone', 'last' => '2026-01-06', 'updates' => 1]) // a withdrawal counts whenever it was made
        ->and($on('2026-01-14')['a'])->toMatchArray(['support' => 'Alone', 'last' => '2026-01-06', 'updates' => 1]);
});

test('dates warn of what is not as written, and tell it to people too', function () {
    $term = '{"from":"2026-03-23","to":"2026-03-29","timezone":"Europe/Berlin","pattern":[{"weekday":"Sun","at":"02:30","minutes":60}],"closures":[{"from":"2025-01-01","to":"2025-01-02"}]}';
    $told = json_decode(artisan(['gorvan:dates', 'given.json', '--json'], $term, 'given.json')[1], true);
    expect($told['meetings'][0]['starts'])->toBe('2026-03-29T03:30:00+02:00')->and($told['warnings'])->toHaveCount(2);
    expect(artisan(['gorvan:dates', 'given.json'], $term, 'given.json')[1])->toContain('Sun 2026-03-29')->toContain('! 2026-03-29: 02:30 does not exist');
});

test('gorvan:form writes a form in another format, says what is not carried, and comes back byte for byte', function () {
    $list = "# Short\nOne:\n1. Heron (L, 3x)\n2. Heron (R)\n";
    [$exit, $json, $errors] = artisan(['gorvan:form', 'short.txt', '--to=json'], $list, 'short.txt');
    expect($exit)->toBe(0)->and($errors)->toContain('entry 2 mirrors entry 1');
    expect(artisan(['gorvan:form', 'short.json', '--to=json'], $json, 'short.json')[1])->toBe($json)
        ->and(artisan(['gorvan:form', 'short.json', '--to=list'], $json, 'short.json')[1])->toBe($list);
    [, $csv, $losses] = artisan(['gorvan:form', 'short.json', '--to=csv'], $json, 'short.json');
    expect($csv)->toStartWith('id,section,kind,number')->and($losses)->toContain('csv does not carry the title of the form');
    expect(artisan(['gorvan:form', 'Short.csv', '--to=json'], $csv, 'Short.csv')[1])->toBe($json);
});

test('gorvan:audit prints findings and totals', function () {
    [$exit, $out] = artisan(['gorvan:audit', 'given.txt', '--json'], "1. Heron (L)\n3. Wade\n");
    $told = json_decode($out, true);
    expect($exit)->toBe(0)->and(array_keys($told))->toBe(['findings', 'totals'])
        ->and(array_keys($told['totals']))->toBe(['entries', 'movements', 'load', 'seconds', 'turn', 'travel', 'left', 'right'])
        ->and(array_keys($told['findings'][0]))->toBe(['code', 'position', 'severity', 'message', 'mend'])
        ->and(array_column($told['findings'], 'code'))->toContain('count', 'sides', 'silent')
        ->and($told['totals']['travel'])->toBe([0, 0]);
    expect(artisan(['gorvan:audit', 'given.txt'], "1. Heron (L)\n")[1])->toContain('one-sided by tradition');
});

test('gorvan:form and gorvan:audit refuse with one line and exit 2', function (array $call, string $file, string $says) {
    [$exit, $out, $errors] = artisan($call, $file, 'given.txt');
    expect([$exit, $out])->toBe([2, ''])->and($errors)->toContain($says)->and(substr_count(trim($errors), "\n"))->toBe(0);
})->with([
    'no format' => [['gorvan:form', 'given.txt'], '1. Heron', '--to: must be json, csv or list'],
    'another format' => [['gorvan:form', 'given.txt', '--to=pdf'], '1. Heron', '--to: must be json, csv or list'],
    'a broken row' => [['gorvan:form', 'given.txt', '--to=json'], "title,turn\nHeron,x\n", 'given.txt:2: column "turn": "x" is not a number'],
    'a circle' => [['gorvan:form', 'given.txt', '--to=json'], "id,title,returns\na,A,b\nb,B,a\n", 'given.txt:2: "A" (entry 1) and "B" (entry 2) return to'],
    'nothing' => [['gorvan:audit', 'given.txt'], '', 'given.txt'],
]);

test('gorvan:audit tells of a circle where an import refuses it', function () {
    expect(artisan(['gorvan:audit', 'given.txt', '--json'], "id,title,returns\na,A,b\nb,B,a\n")[1])->toContain('which comes later');
});

test('gorvan:focus works by families where it is asked to, and begins nothing on a showing or its eve', function () {
    $problem = ['students' => 3, 'principles' => [['id' => 'a', 'family' => 'Body'], ['id' => 'b', 'family' => 'Body', 'after' => ['a']], ['id' => 'c', 'family' => 'Mind']],
        'meetings' => [['on' => '2026-01-05'], ['on' => '2026-01-08'], ['on' => '2026-01-12'], ['on' => '2026-01-19', 'showing' => true]]];
    $told = fn (array $with): array => array_map(static fn (array $one): array => array_column($one['focus'], 'new', 'principle'), json_decode(artisan(['gorvan:focus', 'given.txt', '--json'], json_encode([...$problem, ...$with]))[1], true)['meetings']);
    expect($told(['by_family' => true]))->toBe([['a' => true, 'b' => true], ['a' => false, 'b' => false], ['a' => false, 'b' => false], ['a' => false, 'b' => false]])
        ->and(array_keys($told([])[0]))->toBe(['a']);
});

test('gorvan:focus prints the focus of each meeting, with what it was chosen by', function () {
    $problem = ['students' => 3, 'principles' => [['id' => 'a'], ['id' => 'b', 'after' => ['a']]], 'bites' => [['principle' => 'a', 'entry' => 'e1', 'strength' => 2]],
        'meetings' => [['on' => '2026-01-07', 'entries' => ['e1', 'e2']], ['on' => '2026-01-14', 'entries' => ['e1']]]];
    [$exit, $out, $err] = artisan(['gorvan:focus', 'given.txt', '--json'], json_encode([...$problem, 'mood' => 1]));
    $told = json_decode($out, true);
    expect($exit)->toBe(0)->and($err)->toContain('mood')
        ->and(array_column($told['meetings'], 'on'))->toBe(['2026-01-07', '2026-01-14'])
        ->and(array_keys($told['meetings'][0]['focus'][0]))->toBe(['principle', 'new', 'mean', 'bite', 'why'])
        ->and($told['meetings'][0]['focus'][0])->toMatchArray(['principle' => 'a', 'new' => true, 'mean' => 0, 'why' => 'new: what the set begins with'])
        ->and($told['meetings'][0]['focus'][0]['bite'])->toEqualWithDelta(0.5 + 0.5 * 2 / 6, 1e-12);
    [$exit, $table] = artisan(['gorvan:focus', 'given.txt'], json_encode($problem));
    expect($exit)->toBe(0)->and($table)->toContain('new: what the set begins with');
});

test('a focus file that cannot be is one line that names its place, and exit 2', function (array $change, string $says) {
    $problem = ['principles' => [['id' => 'a'], ['id' => 'b', 'after' => ['a']]], 'meetings' => [['on' => '2026-01-07']], ...$change];
    [$exit, $out, $err] = artisan(['gorvan:focus', 'given.txt', '--json'], json_encode($problem));
    expect($exit)->toBe(2)->and($out)->toBe('')->and($err)->toContain($says)->and(substr_count($err, "\n"))->toBe(1);
})->with([
    [['principles' => [['id' => 'a', 'after' => ['b']], ['id' => 'b', 'after' => ['a']]]], '$.principles[0].after: these come after each other in a circle: a, b and a'],
    [['bites' => [['principle' => 'c', 'entry' => 'e', 'strength' => 1]]], '$.bites[0].principle: there is no principle "c"'],
    [['bites' => [['principle' => 'a', 'entry' => 'e', 'strength' => 4]]], '$.bites[0].strength: must be between 1 and 3'],
    [['meetings' => [['on' => '2026-01-14'], ['on' => '2026-01-07']]], '$.meetings[1].on: 2026-01-07 is earlier than the meeting before it'],
    [['per_meeting' => 4], '$.per_meeting: must be between 1 and 3'],
    [['students' => 0], '$.students'],
]);

test('gorvan:practice prints the days, the passages and what they are worth; a problem that cannot be is one line and exit 2', function () {
    $entry = fn (string $id, ?array $state) => ['id' => $id, 'state' => $state, 'seconds' => 60];
    $problem = ['on' => '2026-11-25', 'next' => '2026-12-02', 'minutes' => 6, 'days' => 3, 'entries' => [
        $entry('a', ['stability' => 3, 'difficulty' => 6, 'last' => '2026-11-25']), $entry('b', null), $entry('c', ['stability' => 30, 'difficulty' => 6, 'last' => '2026-11-25']),
    ]];
    [$exit, $out, $err] = artisan(['gorvan:practice', 'given.txt', '--json'], json_encode([...$problem, 'mood' => 1]));
    $told = json_decode($out, true);
    expect($exit)->toBe(0)->and($err)->toContain('mood')->and(array_keys($told))->toBe(['days', 'passages', 'value'])
        ->and($told['days'])->toBe(['2026-11-26', '2026-11-28', '2026-11-30'])
        ->and(array_map(fn ($one) => [$one['from'], $one['to'], $one['minutes']], $told['passages']))->toBe([[1, 1, 2.5], [3, 3, 2.5]])
        ->and($told['value'])->toEqualWithDelta(array_sum(array_column($told['passages'], 'value')), 1e-12);
    [$exit, $out, $err] = artisan(['gorvan:practice', 'given.txt', '--json'], json_encode([...$problem, 'next' => '2026-11-20']));
    expect([$exit, $out])->toBe([2, ''])->and($err)->toContain('$.next')->and(substr_count($err, "\n"))->toBe(1);
});

test('gorvan:lessons lists the lessons of a form as an approach gives them, or writes them as a file', function () {
    $list = "# Set\n".implode("\n", array_map(fn (int $n): string => "$n. Movement $n", range(1, 12)));
    [$exit, $out] = artisan(['gorvan:lessons', 'given.txt', '--approach=outline', '--json'], $list);
    $told = json_decode($out, true);
    expect($exit)->toBe(0)->and($told['format'])->toBe('gorvan.lessons/1')
        ->and(array_column($told['lessons'], 'kind'))->toBe(['new', 'new', 'new', 'new', 'detail', 'detail', 'detail', 'detail'])
        ->and($told['lessons'][1]['recap'])->not->toBe([]);
    [$exit, $table] = artisan(['gorvan:lessons', 'given.txt'], $list);
    expect($exit)->toBe(0)->and($table)->toContain('run through');
    [$exit, $out, $err] = artisan(['gorvan:lessons', 'given.txt', '--approach=magic'], $list);
    expect([$exit, $out])->toBe([2, ''])->and($err)->toContain('--approach: must be outline, piece, sides or whole');
});
