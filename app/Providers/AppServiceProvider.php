<?php

declare(strict_types=1);

namespace App\Providers;

use App\Http\Middleware\KeepSession;
use App\Mail\MailboxTransport;
use App\Models\CurrentSchool;
use App\Models\SignInProvider;
use App\Models\User;
use App\Policies\Abilities;
use App\Record\EntryRows;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use PDO;
use Symfony\Component\HttpFoundation\Response;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentSchool::class);
        $this->app->scoped(EntryRows::class);
        $this->app->singleton(StartSession::class, static fn ($app): StartSession => new KeepSession($app->make('session'), static fn () => $app->make('cache')));
        // What serves keeps its connection from one request to the next: making one costs more than all an empty request does.
        if (PHP_SAPI === 'fpm-fcgi') {
            config(['database.connections.pgsql.options' => [PDO::ATTR_PERSISTENT => true]]);
        }
        // What is asked for is kept with what asked for it, in one transaction; what is done at once is done after it.
        config(['queue.connections.sync.after_commit' => true]);
        // Nothing is kept in files that are handed out, so no route for them either.
        config(['filesystems.disks.local.serve' => false]);
        config(['mail.mailers.'.MailboxTransport::NAME => ['transport' => MailboxTransport::NAME], 'mail.default' => config('gorvan.mailer')]);
        config(['auth.providers.users.driver' => 'gorvan', 'hashing.rehash_on_login' => false]);
    }

    public function boot(): void
    {
        Auth::provider('gorvan', static fn ($app): SignInProvider => new SignInProvider($app->make('hash'), User::class));
        Model::shouldBeStrict(! $this->app->isProduction());
        JsonResource::withoutWrapping();
        Abilities::register();
        Mail::extend(MailboxTransport::NAME, static fn (): MailboxTransport => new MailboxTransport);
        // A class shares one address: only what opened nothing counts.
        RateLimiter::for('personal-link', static fn (Request $request): Limit => Limit::perMinute(10)->by('mine|'.$request->ip())
            ->after(static fn (Response $response): bool => ! $response->isSuccessful()));
        RateLimiter::for('sign-in', static function (Request $request): array {
            $email = $request->input('email');
            $address = is_string($email) ? mb_strtolower(trim($email)) : '';
            // Only what was refused counts: guessing is slowed down, signing in is not. By both, and by each: one client that
            // tries many addresses, and one address that many clients try.
            $limit = static fn (int $most, string $by): Limit => Limit::perMinute($most)->by($by)->after(static fn (Response $response): bool => ! $response->isSuccessful());

            return [$limit(10, "both|$address|{$request->ip()}"), $limit(30, "address|$address"), $limit(60, "client|{$request->ip()}")];
        });
    }
}
