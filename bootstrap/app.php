<?php

declare(strict_types=1);

use App\Http\Controllers\HealthController;
use App\Http\Middleware\AnswerOnce;
use App\Http\Middleware\BoundRequest;
use App\Http\Middleware\FromOwnPages;
use App\Http\Middleware\OpenPersonalLink;
use App\Http\Middleware\RefuseNul;
use App\Http\Middleware\SecureHeaders;
use App\Http\Middleware\UseSchool;
use App\Http\Problems;
use Illuminate\Auth\Middleware\Authorize;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        commands: __DIR__.'/../routes/console.php',
        then: static function (): void {
            Route::prefix('mine/api')->middleware([BoundRequest::class, RefuseNul::class])->group(base_path('routes/mine.php'));
            Route::get('up', HealthController::class);
        },
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class); // same origin only, so there is nothing to allow
        $middleware->trustProxies(at: []); // what serves speaks to the application directly, and nobody else does
        $middleware->trustHosts(at: static fn (): array => array_map(static fn (string $host): string => '^'.preg_quote($host, '{}').'$', explode(',', (string) config('gorvan.hosts'))), subdomains: false);
        // The session's id is random and says nothing; as it is, what serves can tell one person's requests from another's.
        $middleware->encryptCookies(except: ['gorvan_session']);
        // Signing in and out are held by where they come from.
        $middleware->validateCsrfTokens(except: ['api/session', 'api/founding']);
        $middleware->statefulApi();
        $middleware->api(append: [BoundRequest::class, RefuseNul::class]);
        $middleware->append(SecureHeaders::class);
        $middleware->alias(['school' => UseSchool::class, 'mine' => OpenPersonalLink::class, 'once' => AnswerOnce::class, 'own' => FromOwnPages::class]);
        // Models are bound inside the school, so the school has to be known first.
        $middleware->prependToPriorityList(SubstituteBindings::class, UseSchool::class);
        // Nobody is answered what they may not ask.
        $middleware->appendToPriorityList(Authorize::class, AnswerOnce::class);
        $middleware->redirectGuestsTo(fn () => null);
    })
    ->withExceptions(fn (Exceptions $exceptions) => Problems::register($exceptions))
    ->create();
