<?php

declare(strict_types=1);

use App\Models\Course;
use App\Models\Student;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/*
 * Requests that nobody means, made of the API's own description by a fixed seed. Whatever is sent, the answer is one that
 * was thought of: nothing is answered with a fault of the server.
 */

/** @return list<mixed> what tends to break things */
function hostile(): array
{
    return [null, true, [], new stdClass, '', ' ', "a\0b", '0', -1, 0, 1, 2_147_483_648, PHP_INT_MAX, 1e308, -1e-320, '99999999999999999999', 'NaN', '2026-02-31', '2026-13-01', '0000-00-00',
        '9999-12-31', '25:61', '<script>', "'; drop table users; --", '💥', "\u{202E}x", str_repeat('x', 5000), str_repeat('[', 200), [[[[]]]], ['a' => ['b' => ['c' => 1]]], array_fill(0, 300, 'x'),
        '../../etc/passwd', '%00', '{"a":1}', 'Ångström', (string) Str::uuid(), '01ARZ3NDEKTSV4RRFFQ69G5FAV', 'Mars/Base', 'Mon', 'always', '2026-01-20T19:00:00+01:00'];
}

/** A value of a shape: mostly right, now and then something else altogether. */
function fuzzed(mixed $schema, array $ids, int $depth = 0): mixed
{
    $hostile = hostile();
    if (mt_rand(0, 99) < 22 || $depth > 5) {
        return $hostile[mt_rand(0, count($hostile) - 1)];
    }
    if (isset($schema['enum'])) {
        return $schema['enum'][mt_rand(0, count($schema['enum']) - 1)];
    }

    return match ($schema['type'] ?? 'string') {
        'object' => (object) array_merge(...array_map(
            fn (string $name): array => mt_rand(0, 9) === 0 ? [] : [$name => fuzzed($schema['properties'][$name], $ids, $depth + 1)],
            array_keys($schema['properties'] ?? []),
        ), ...[[mt_rand(0, 9) === 0 ? 'unknown' : 'id' => $ids[mt_rand(0, count($ids) - 1)]]]),
        'array' => array_map(fn () => fuzzed($schema['items'] ?? [], $ids, $depth + 1), array_fill(0, mt_rand(0, 3), 0)),
        'integer' => mt_rand(-2, 12),
        'number' => mt_rand(-20, 120) / 10,
        'boolean' => mt_rand(0, 1) === 1,
        default => mt_rand(0, 1) === 0 ? $ids[mt_rand(0, count($ids) - 1)] : ['Winter', '2026-01-20', '19:00', 'Alone', 'e01', 'piece'][mt_rand(0, 5)],
    };
}

test('400 requests that nobody means are all answered as something that was thought of', function (int $seed) {
    $this->clockAt('2026-01-20T20:00:00+01:00');
    ['user' => $user, 'form' => $form, 'group' => $group, 'term' => $term] = $this->school();
    $meeting = $this->meetings($term)[2];
    $own = ['form' => $form->id, 'group' => $group->id, 'term' => $term->id, 'meeting' => $meeting->id] + $this->inside($user->school, fn () => ['student' => Student::first()->id, 'course' => Course::first()->id]);
    $ids = array_values($own);
    Artisan::call('gorvan:openapi');
    $asked = [];
    foreach (json_decode(Artisan::output(), true)['paths'] as $path => $methods) {
        foreach ($methods as $method => $operation) {
            if (str_starts_with($path, '/api/') && ! in_array($path, ['/api/session', '/api/founding'], true)) {
                $asked[] = [$path, strtoupper((string) $method), $operation];
            }
        }
    }
    mt_srand($seed);
    $texts = array_values(array_filter(hostile(), fn ($one) => is_scalar($one) && $one !== '' && strlen((string) $one) < 300));
    $this->actingAs($user);
    $faults = $answers = [];
    for ($n = 0; $n < 400; $n++) {
        [$path, $method, $operation] = $asked[mt_rand(0, count($asked) - 1)];
        $junk = fn (): string => rawurlencode((string) $texts[mt_rand(0, count($texts) - 1)]);
        $uri = preg_replace_callback('/\{(\w+)\}/', fn ($found) => mt_rand(0, 9) < 8 ? $own[$found[1]] ?? (string) Str::uuid() : str_replace('%2F', '-', $junk()), $path);
        $query = array_filter(array_map(fn ($parameter) => mt_rand(0, 2) === 0 ? null : "{$parameter['name']}=".(mt_rand(0, 1) === 0 ? $junk() : $ids[mt_rand(0, count($ids) - 1)]), array_filter($operation['parameters'] ?? [], fn ($one) => $one['in'] === 'query')));
        $body = fuzzed($operation['requestBody']['content']['application/json']['schema'] ?? ['type' => 'object'], $ids);
        $body = json_encode(is_object($body) || is_array($body) ? $body : ['x' => 1], JSON_PARTIAL_OUTPUT_ON_ERROR);
        DB::beginTransaction();
        $answer = $this->call($method, $uri.($query === [] ? '' : '?'.implode('&', $query)), [], [], [], $this->transformHeadersToServerVars(['Accept' => 'application/json', 'Content-Type' => 'application/json']), $method === 'GET' ? null : $body);
        DB::rollBack();
        $answers[] = $answer->status();
        if ($answer->status() >= 500) {
            $faults[] = "$method $uri?".implode('&', $query).' '.substr((string) $body, 0, 400).' -> '.$answer->status().' '.($answer->exception?->getMessage() ?? '');
        }
    }
    expect($faults)->toBe([])->and(count(array_unique($answers)))->toBeGreaterThan(3); // some were right, some not there, some refused
})->with([20261127, 7, 99]);

test('a version that no number of the database can be is refused in words, wherever one is sent', function () {
    ['user' => $user, 'form' => $form] = $this->school();
    $this->actingAs($user);
    $set = $this->postJson('/api/principle-sets', ['text' => '{"format":"gorvan.principles/1","title":"T","principles":[{"id":"a","title":"A"}]}'])->assertCreated()->json('set.id');
    $put = ['what' => 'put', 'principle' => ['id' => 'a', 'title' => 'B']];
    foreach ([2_147_483_648, 9_007_199_254_740_991, PHP_INT_MAX] as $far) {
        $this->postJson("/api/forms/$form->id/edits", ['base' => $far, 'edits' => [['op' => 'set', 'id' => 'e01', 'fields' => ['title' => 'X']]]])->assertUnprocessable();
        $this->postJson("/api/forms/$form->id/import", ['base' => $far, 'text' => "1. Reed\n"])->assertUnprocessable();
        $this->postJson("/api/forms/$form->id/restore", ['base' => 1, 'number' => $far])->assertUnprocessable();
        $this->getJson("/api/forms/$form->id/difference?from=1&to=$far")->assertUnprocessable();
        $this->postJson("/api/principle-sets/$set/edits", ['base' => $far, 'edits' => [$put]])->assertUnprocessable();
        $this->postJson("/api/principle-sets/$set/import", ['base' => $far, 'text' => '{}'])->assertUnprocessable();
        $this->postJson("/api/principle-sets/$set/restore", ['base' => 1, 'number' => $far])->assertUnprocessable();
        $this->postJson("/api/principle-sets/$set/forms/$form->id", ['base' => $far, 'edit' => ['what' => 'copy']])->assertUnprocessable();
    }
});
