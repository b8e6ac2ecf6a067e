<?php

declare(strict_types=1);

use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use Tests\DescribedAnswers;

/** The description of the API, as the code gives it. */
function described(): stdClass
{
    Artisan::call('gorvan:openapi');

    return json_decode(Artisan::output(), false, 128, JSON_THROW_ON_ERROR);
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

test('an answer with a key more, a key less or a value of another type is found, whichever test asks for it', function () {
    $this->actingAs($this->found());
    $answer = $this->getJson('/api/session')->assertOk();
    $route = request()->route();
    $wrong = fn (array $change) => DescribedAnswers::wrongWith($route, 'GET', TestResponse::fromBaseResponse(new JsonResponse([...$answer->json(), ...$change])));
    expect($wrong([]))->toBeNull()
        ->and($wrong(['more' => 1]))->toContain('GET /api/session 200')
        ->and($wrong(['canFound' => 'yes']))->toContain('GET /api/session 200')
        ->and(DescribedAnswers::wrongWith($route, 'GET', TestResponse::fromBaseResponse(new JsonResponse(['canFound' => true]))))->toContain('GET /api/session 200');
});

test('a refusal has the shape of a problem: a code that has words, and a place', function () {
    $this->actingAs($this->found());
    foreach ([['/api/forms/preview', ['text' => '']], ['/api/withdrawals', ['withdrawals' => [['id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 'of' => '01ARZ3NDEKTSV4RRFFQ69G5FAW', 'at' => '2026-01-01T00:00:00Z']]]]] as [$uri, $body]) {
        $told = $this->postJson($uri, $body)->assertUnprocessable()->json();
        expect(array_keys($told))->toBe(['code', 'with', 'place', 'problems', 'known', 'fields'])->and(App\Words::has($told['code']))->toBeTrue();
    }
});
