<?php

declare(strict_types=1);

/*
 * What an empty authenticated request costs, and what the pages weigh on the wire: served as bin/start serves them, beside
 * PHP's own server as it served them before, side by side in one run. Processor time is that of what serves, read from the
 * kernel; the database's is not in it.
 */

require dirname(__DIR__, 2).'/vendor/autoload.php';
require __DIR__.'/asking.php';

use App\Actions\FoundSchool;
use GuzzleHttp\Client;
use Illuminate\Contracts\Console\Kernel;

const ROUNDS = 300;

[$served, $plain] = [(string) getenv('GORVAN_ADDRESS'), (string) getenv('PLAIN_ADDRESS')];
[$servedGroups, $plainGroups] = [array_map(intval(...), explode(' ', (string) getenv('SERVED_GROUPS'))), [(int) getenv('PLAIN_GROUP')]];

$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
app(FoundSchool::class)('Bench', 'Europe/Berlin', 'Bench', 'bench@bench.example', PASSWORD);

/** Milliseconds of processor time that some process groups have used. @param  list<int>  $groups */
function processor(array $groups): float
{
    $ticks = 0;
    foreach (glob('/proc/[0-9]*/stat') ?: [] as $file) {
        $stat = @file_get_contents($file); // it may have ended meanwhile
        $fields = $stat === false ? [] : explode(' ', substr($stat, (int) strrpos($stat, ')') + 2));
        if (in_array((int) ($fields[2] ?? -1), $groups, true)) {
            $ticks += (int) $fields[11] + (int) $fields[12] + (int) $fields[13] + (int) $fields[14];
        }
    }

    return $ticks * 10.0;
}

/** Bytes of the first page and all it names, as they come over the wire. */
function weight(string $address): int
{
    $client = new Client(['base_uri' => $address, 'decode_content' => false, 'headers' => ['Accept-Encoding' => 'gzip']]);
    $page = (string) (new Client(['base_uri' => $address]))->get('/')->getBody();
    preg_match_all('~(?:src|href)="(?:https?://[^/"]+)?(/build/[^"]+)"~', $page, $found);
    $bytes = strlen((string) $client->get('/')->getBody());
    foreach (array_unique($found[1]) as $file) {
        $bytes += strlen((string) $client->get($file)->getBody());
    }

    return $bytes;
}

$of = [];
foreach (['PHP’s own server' => [$plain, $plainGroups], 'nginx and php-fpm' => [$served, $servedGroups]] as $name => [$address, $groups]) {
    $browser = new Browser($address);
    for ($warm = 0; $warm < 40; $warm++) {
        $browser->ask('GET', '/api/session');
    }
    $before = processor($groups);
    $times = [];
    for ($round = 0; $round < ROUNDS; $round++) {
        $times[] = took(static fn () => $browser->ask('GET', '/api/session'));
    }
    $of[$name] = ['cpu' => (processor($groups) - $before) / ROUNDS, 'median' => 1000 * at(0.5, $times), 'bytes' => weight($address)];
    printf("%-20s  processor %6.2f ms a request   answered in %6.2f ms (median)   first page %7.1f kB on the wire\n", $name, $of[$name]['cpu'], $of[$name]['median'], $of[$name]['bytes'] / 1024);
}
[$was, $is] = array_values($of);
printf("\nprocessor time %.2f x (wanted 0.5 or less)   weight on the wire %.2f x (wanted about a third)\n", $is['cpu'] / $was['cpu'], $is['bytes'] / $was['bytes']);
