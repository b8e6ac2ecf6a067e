<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Log;

test('whoever looks after it is told that the database does not answer', function () {
    $this->get('/up')->assertOk()->assertSee('up');
    $was = config('database.default');
    config(['database.connections.nowhere' => ['port' => 1, 'host' => '127.0.0.1'] + config('database.connections.pgsql'), 'database.default' => 'nowhere']);
    $this->get('/up')->assertStatus(503)->assertDontSee('SQLSTATE');
    config(['database.default' => $was]);
    $this->get('/up')->assertOk();
});

test('whoever looks after it is told that nothing can be written, while pages are still answered', function () {
    $folder = sys_get_temp_dir().'/gorvan-'.bin2hex(random_bytes(4));
    mkdir("$folder/app", recursive: true);
    app()->useStoragePath($folder);
    $this->get('/up')->assertOk(); // never tried: nobody knows better
    expect(App\Health::try())->toBeTrue();
    $this->get('/up')->assertOk();
    unlink("$folder/app/tried");
    mkdir("$folder/app/tried"); // as good as a full disk
    expect(App\Health::try())->toBeFalse();
    $this->get('/up')->assertStatus(503)->assertSee('full');
    rmdir("$folder/app/tried");
    expect(App\Health::try())->toBeTrue();
    $this->get('/up')->assertOk();
    array_map(unlink(...), glob("$folder/app/*") ?: []);
    rmdir("$folder/app");
    rmdir($folder);
});

test('a request that fails is one line of the log, without a value that somebody sent', function () {
    $folder = sys_get_temp_dir().'/gorvan-'.bin2hex(random_bytes(4));
    config(['logging.channels.lines.path' => "$folder/log.log", 'logging.default' => 'lines']);
    Illuminate\Support\Facades\Route::get('/api/breaks', static fn () => Illuminate\Support\Facades\DB::select('select ?::int as secret', ['swallow-at-dusk']));
    $this->getJson('/api/breaks')->assertStatus(500)->assertJsonPath('code', 'http.broken');
    $files = glob("$folder/*") ?: [];
    $lines = file($files[0], FILE_IGNORE_NEW_LINES) ?: [];
    expect($lines)->toHaveCount(1)->and(strlen($lines[0]))->toBeLessThan(1200)->and($lines[0])->not->toContain('swallow-at-dusk')
        ->and(json_decode($lines[0], true)['context'])->toMatchArray(['what' => Illuminate\Database\QueryException::class, 'sql' => 'select ?::int as secret', 'route' => 'GET /api/breaks']);
    array_map(unlink(...), $files);
    rmdir($folder);
});

test('one fault is one line, and nobody else reads it', function () {
    $folder = sys_get_temp_dir().'/gorvan-'.bin2hex(random_bytes(4));
    config(['logging.channels.lines.path' => "$folder/log.log"]);
    Log::channel('lines')->error("one\ntwo", ['exception' => new RuntimeException("three\nfour", 0, new LogicException('five'))]);
    $files = glob("$folder/*") ?: [];
    $lines = file($files[0], FILE_IGNORE_NEW_LINES) ?: [];
    expect($files)->toHaveCount(1)->and($lines)->toHaveCount(1)->and(substr(sprintf('%o', fileperms($files[0])), -3))->toBe('600')
        ->and(json_decode($lines[0], true))->message->toBe("one\ntwo")->context->exception->message->toBe("three\nfour");
    array_map(unlink(...), $files);
    rmdir($folder);
});

test('far more than any request holds is refused before anything looks at it', function (Closure $body, string $code, string $place) {
    $this->actingAs($this->found());
    $this->postJson('/api/forms/preview', $body())->assertUnprocessable()->assertJsonPath('code', $code)->assertJsonPath('place', $place);
})->with([
    'a long list' => [fn () => ['text' => 'x', 'declined' => array_fill(0, 40_000, 1)], 'http.many', 'declined'],
    'a long list far inside' => [fn () => ['text' => 'x', 'a' => ['b' => [array_fill(0, 2001, 1)]]], 'http.many', 'a.b.0'],
    'many short ones' => [fn () => ['text' => 'x', 'a' => array_fill(0, 1000, array_fill(0, 50, 1))], 'http.much', 'a.779'],
    'a deep one' => [fn () => ['text' => 'x', 'a' => array_reduce(range(1, 40), fn ($so_far) => [$so_far], 1)], 'http.much', 'a.'.implode('.', array_fill(0, 24, '0'))],
]);
