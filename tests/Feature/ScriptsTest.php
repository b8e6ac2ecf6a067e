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

/** Serves pages that never come from a folder of its own, under the watch of bin/start, until it is told to stop. */
const PAGES_THAT_NEVER_COME = <<<'SHELL'
ROOT=$1 VAR=$2 SERVED=$1 PHP_SOCKET=$2/php.sock RUN=$2/run RUN_LOG=$2 FPM=$$ WORKER=$$
mkdir -p "$RUN/log" "$RUN/tmp"
. "$ROOT/bin/lib/serving.sh"
say() { :; }
postgres_runs() { :; }
php_conf() { :; }
APP_RUN=()
nginx_conf "$3" > "$RUN/nginx.conf"
trap 'stop_group "$NGINX"; exit 0' TERM
run_nginx
SECONDS=0
supervise
SHELL;

test('a process of nginx that is killed leaves nobody refused for good', function () {
    $home = sys_get_temp_dir().'/gorvan-watch-'.bin2hex(random_bytes(4));
    mkdir($home);
    // It takes every request, and nobody ever answers.
    $room = stream_context_create(['socket' => ['backlog' => 500]]);
    $never = stream_socket_server("unix://$home/php.sock", $no, $why, STREAM_SERVER_BIND | STREAM_SERVER_LISTEN, $room);
    chmod("$home/php.sock", 0777);
    chmod($home, 0755);
    $free = stream_socket_server('tcp://127.0.0.1:0');
    $port = (int) explode(':', (string) stream_socket_get_name($free, false))[1];
    fclose($free);
    $asked = static function () use ($port) {
        $line = @stream_socket_client("tcp://127.0.0.1:$port", timeout: 2);
        if (is_resource($line)) {
            fwrite($line, "GET /api/today HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n");
            stream_set_timeout($line, 0, 300_000);
        }

        return $line;
    };
    /** The status it answers with at once; null where it works on it, "" where nobody is there. */
    $status = static function () use ($asked): ?string {
        $line = $asked();

        return is_resource($line) ? (($said = fgets($line)) === false ? null : explode(' ', $said)[1]) : '';
    };
    $watch = new Process(['bash', '-c', PAGES_THAT_NEVER_COME, 'watch', base_path(), $home, (string) $port]);
    $watch->setTimeout(120);
    $watch->start();
    try {
        expect(eventually(fn () => $status() === null))->toBeTrue();
        for ($kill = 0; $kill < 14; $kill++) {
            $line = $asked();
            usleep(100_000);
            $master = trim((string) file_get_contents("$home/run/nginx.pid"));
            foreach (explode(' ', trim((string) file_get_contents("/proc/$master/task/$master/children"))) as $worker) {
                posix_kill((int) $worker, SIGKILL);
            }
            expect(eventually(fn () => $status() !== ''))->toBeTrue();
        }
        usleep(2_500_000);
        eventually(fn () => $status() === null);
        expect($status())->toBeNull();
    } finally {
        $watch->signal(SIGTERM);
        $watch->wait();
        fclose($never);
        (new Process(['rm', '-rf', $home]))->run();
    }
});

test('pages are served without the compiler whose code all workers share, and which one that is killed leaves half written', function () {
    $says = new Process(['bash', '-c', 'ROOT=$1 RUN=/nowhere PHP_SOCKET=/nowhere; . "$ROOT/bin/lib/serving.sh"; in_background() { printf "%s\n" "$@"; }; run_fpm', 'says', base_path()]);
    $says->mustRun();
    expect(explode("\n", $says->getOutput()))->toContain('opcache.jit=off')->toContain('opcache.enable=1')
        ->and($says->getOutput())->not->toContain('jit_buffer_size');
});

/** Whether it comes true within fifteen seconds. */
function eventually(Closure $isTrue): bool
{
    for ($time = 0; $time < 75; $time++) {
        if ($isTrue()) {
            return true;
        }
        usleep(200_000);
    }

    return false;
}

test('the scripts are sound shell', function (string $script) {
    $process = new Process(['bash', '-n', base_path($script)]);
    $process->run();
    expect($process->getErrorOutput())->toBe('')
        ->and(is_executable(base_path($script)) || str_starts_with($script, 'bin/lib/'))->toBeTrue();
})->with(['bin/start', 'bin/test', 'bin/bench', 'bin/types', 'bin/lib/common.sh', 'bin/lib/database.sh', 'bin/lib/serving.sh', '.ci/run']);
