<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/** Runs bin/start as far as it goes without installing anything. @return array{int, string, string} */
function start(string ...$options): array
{
    $process = new Process([base_path('bin/start'), ...$options], base_path(), null, null, 120);
    $process->run();

    return [$process->getExitCode(), $process->getOutput(), $process->getErrorOutput()];
}

test('bin/start tells its options', function () {
    [$exit, $out] = start('--help');
    expect($exit)->toBe(0)->and($out)->toContain('--port N')->toContain('--no-demo')->toContain('--fresh-demo')->toContain('--host ADDRESS')->toContain('--discard-my-data');
});

test('bin/start refuses what it does not understand, and does nothing', function (array $options, string $says) {
    [$exit, $out, $errors] = start(...$options);
    expect($exit)->toBe(2)->and($out)->toBe('')->and($errors)->toContain($says)->not->toContain('--  ');
})->with([
    'unknown option' => [['--prot', '8123'], 'Unknown option: --prot'],
    'port of words' => [['--port', 'http'], '--port needs a number'],
    'no port' => [['--port'], '--port needs a value'],
    'port of the system' => [['--port=80'], 'from 1024 to 65215'],
    'port too high' => [['--port=70000'], 'from 1024 to 65215'],
    'no name' => [['--host='], '--host needs the name'],
    'a name with a blank' => [['--host=my tablet'], '--host needs the name'],
    'a certificate without its key' => [['--host=192.168.1.20', '--cert', '/etc/hostname'], '--cert and --key are given together'],
    'a certificate that is not there' => [['--host=192.168.1.20', '--cert=/no/such', '--key=/no/such'], 'There is no file /no/such'],
    'a certificate for nothing' => [['--cert=/etc/hostname', '--key=/etc/hostname'], 'are for --host'],
    'data to discard and nothing fresh' => [['--discard-my-data'], 'is for --fresh-demo'],
]);

test('bin/start says that a port is in use, and how to go on', function () {
    $taken = stream_socket_server('tcp://127.0.0.1:0');
    $port = explode(':', (string) stream_socket_get_name($taken, false))[1];
    [$exit, , $errors] = start('--port', $port);
    fclose($taken);
    expect($exit)->toBe(1)->and($errors)->toContain("Port $port is in use")->toContain('--port');
});

test('a second bin/start touches nothing that the first one runs', function () {
    $lock = fopen(base_path('var/start.lock'), 'c');
    flock($lock, LOCK_EX | LOCK_NB);
    $free = stream_socket_server('tcp://127.0.0.1:0');
    $port = explode(':', (string) stream_socket_get_name($free, false))[1];
    fclose($free);
    [$exit, , $errors] = start('--port', $port);
    fclose($lock);
    expect($exit)->toBe(1)->and($errors)->toContain('bin/start is running here already')->toContain('nothing was touched')->not->toContain('--  ');
});

test('the scripts are sound shell', function (string $script) {
    $process = new Process(['bash', '-n', base_path($script)]);
    $process->run();
    expect($process->getErrorOutput())->toBe('')
        ->and(is_executable(base_path($script)) || str_starts_with($script, 'bin/lib/'))->toBeTrue();
})->with(['bin/start', 'bin/test', 'bin/bench', 'bin/types', 'bin/lib/common.sh', 'bin/lib/database.sh', 'bin/lib/serving.sh', '.ci/run']);
