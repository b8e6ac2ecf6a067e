<?php

declare(strict_types=1);

use App\Http\Middleware\AnswerOnce;
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
        health: '/up',
        then: static fn () => Route::prefix('mine/api')->middleware(RefuseNul::class)->group(base_path('routes/mine.php')),
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class); // same origin only, so there is nothing to allow
        // Only the proxy that bin/start --tls puts in front of this machine's own port is believed.
        $middleware->trustProxies(at: getenv('TRUST_PROXY') === 'yes' ? '127.0.0.1' : []);
        $middleware->statefulApi();
        $middleware->api(append: [RefuseNul::class]);
        $middleware->append(SecureHeaders::class);
        $middleware->alias(['school' => UseSchool::class, 'mine' => OpenPersonalLink::class, 'once' => AnswerOnce::class]);
        // Models are bound inside the school, so the school has to be known first.
        $middleware->prependToPriorityList(SubstituteBindings::class, UseSchool::class);
        // Nobody is answered what they may not ask.
        $middleware->appendToPriorityList(Authorize::class, AnswerOnce::class);
        $middleware->redirectGuestsTo(fn () => null);
    })
    ->withExceptions(fn (Exceptions $exceptions) => Problems::register($exceptions))
    ->create();
