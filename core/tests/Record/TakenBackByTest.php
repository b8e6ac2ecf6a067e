<?php

declare(strict_types=1);

use Gorvan\Core\Record\TakenBackBy;

test('the withdrawal by which a log replaces another has an id of its own, the same however often the log is sent', function () {
    $log = '01J9ZK3V5Q8M2N4P6R7S9T0VWX';
    $id = TakenBackBy::log($log);
    expect($id)->not->toBe($log)->toBe(TakenBackBy::log($log))
        ->toMatch('/^[0-7][0-9A-HJKMNP-TV-Z]{25}$/') // as the ULID specification writes one
        ->and(substr($id, 0, 10))->toBe(substr($log, 0, 10));
});

test('no two logs share one, and no chain of them comes round', function () {
    $seen = [];
    for ($id = '01J9ZK3V5Q8M2N4P6R7S9T0VWX', $n = 0; $n < 2000; $n++) {
        $seen[$id] = true;
        $id = TakenBackBy::log($id);
    }
    expect($seen)->toHaveCount(2000);
});
