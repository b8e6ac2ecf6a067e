<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Route;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** The description of the API, as the code gives it. */
function described(): stdClass
{
    Artisan::call('gorvan:openapi');

    return json_decode(Artisan::output(), false, 128, JSON_THROW_ON_ERROR);
}

/** OpenAPI 3.0 says `nullable`; JSON Schema says a type of null. Shapes are closed here, so that nothing undescribed passes. */
function asJsonSchema(mixed $part): mixed
{
    if (is_array($part)) {
        return array_map(asJsonSchema(...), $part);
    }
    if (! $part instanceof stdClass) {
        return $part;
    }
    $out = new stdClass;
    foreach (get_object_vars($part) as $key => $value) {
        $out->{$key} = $key === '$ref' ? str_replace('#/components/schemas/', '#/$defs/', $value) : asJsonSchema($value);
    }
    unset($out->nullable, $out->format);
    if (isset($out->properties) && ! isset($out->additionalProperties)) {
        $out->additionalProperties = false;
    }

    return ($part->nullable ?? false) === true ? (object) ['anyOf' => [(object) ['type' => 'null'], $out]] : $out;
}

test('every route of the API is described, and nothing else is', function () {
    $described = [];
    foreach (get_object_vars(described()->paths) as $path => $methods) {
        foreach (array_keys(get_object_vars($methods)) as $method) {
            $described[] = strtoupper($method).' '.$path;
        }
    }
    $routes = [];
    foreach (Route::getRoutes() as $route) {
        if (str_starts_with($route->uri(), 'api/') || str_starts_with($route->uri(), 'mine/api')) {
            $routes[] = $route->methods()[0].' /'.$route->uri();
        }
    }
    expect($described)->toEqualCanonicalizing($routes);
});

test('live answers are what the description says, no key more and none less', function () {
    $this->clockAt('2026-01-20T18:00:00+01:00');
    ['user' => $user, 'form' => $form, 'group' => $group, 'term' => $term] = $this->school();
    $meeting = $this->meetings($term)[2];
    $this->actingAs($user);
    [$student, $entry] = $this->inside($user->school, fn () => [$group->students()->first()->id, $form->entries()->first()->id]);
    $this->postJson("/api/meetings/$meeting->id/marks", ['marks' => [$this->mark($student, $entry)]])->assertOk();
    $this->postJson("/api/meetings/$meeting->id/log", $this->asPlanned($meeting))->assertNoContent();
    // So that there are findings with mends, accepted ones, versions and cards to tell of.
    $this->postJson("/api/forms/$form->id/edits", ['base' => 1, 'edits' => [['op' => 'form', 'fields' => ['announced' => 9]], ['op' => 'set', 'id' => 'e01', 'fields' => ['cues' => ['to the {L}'], 'side' => 'left', 'repetition' => '9', 'phases' => [['breath' => 'in']]]]]])->assertOk();
    $api = described();
    $defs = asJsonSchema($api->components->schemas);
    $asked = [
        '/api/session' => '/api/session',
        '/api/today' => '/api/today',
        '/api/forms' => '/api/forms',
        '/api/starters' => '/api/starters',
        '/api/forms/{form}' => "/api/forms/$form->id",
        '/api/forms/{form}/score' => "/api/forms/$form->id/score",
        '/api/forms/{form}/versions' => "/api/forms/$form->id/versions",
        '/api/forms/{form}/difference' => "/api/forms/$form->id/difference?from=1&to=2",
        '/api/forms/{form}/losses' => "/api/forms/$form->id/losses",
        '/api/forms/{form}/floor' => "/api/forms/$form->id/floor",
        '/api/forms/{form}/times' => "/api/forms/$form->id/times",
        '/api/forms/{form}/beats' => "/api/forms/$form->id/beats",
        '/api/forms/{form}/cards' => "/api/forms/$form->id/cards",
        '/api/groups' => '/api/groups',
        '/api/groups/{group}' => "/api/groups/$group->id",
        '/api/terms' => '/api/terms',
        '/api/terms/{term}' => "/api/terms/$term->id",
        '/api/meetings/{meeting}' => "/api/meetings/$meeting->id",
    ];
    foreach ($asked as $path => $uri) {
        $schema = asJsonSchema($api->paths->{$path}->get->responses->{'200'}->content->{'application/json'}->schema);
        $schema->{'$defs'} = $defs;
        $result = (new Validator)->validate(json_decode($this->getJson($uri)->assertOk()->getContent()), $schema);
        $this->assertTrue($result->isValid(), $path.': '.json_encode($result->isValid() ? '' : (new ErrorFormatter)->format($result->error())));
    }
});

test('a refusal has the shape of a problem: a code that has words, and a place', function () {
    $this->actingAs($this->found());
    foreach ([['/api/forms/preview', ['text' => '']], ['/api/withdrawals', ['withdrawals' => [['id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 'of' => '01ARZ3NDEKTSV4RRFFQ69G5FAW', 'at' => '2026-01-01T00:00:00Z']]]]] as [$uri, $body]) {
        $told = $this->postJson($uri, $body)->assertUnprocessable()->json();
        expect(array_keys($told))->toBe(['code', 'with', 'place', 'problems', 'known', 'fields'])->and(App\Words::has($told['code']))->toBeTrue();
    }
});
