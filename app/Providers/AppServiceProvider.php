<?php

declare(strict_types=1);

namespace App\Providers;

use App\Http\KnownDevice;
use App\Http\Middleware\KeepSession;
use App\Mail\MailboxTransport;
use App\Models\CurrentSchool;
use App\Models\SignInProvider;
use App\Models\User;
use App\Policies\Abilities;
use App\Record\EntryRows;
use App\Shared\Sent\Sent;
use App\Shared\Sent\SentReader;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
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
        // What a method takes of a request is made of the request.
        $this->app->beforeResolving(Sent::class, static function (string $class, array $with, Application $app): void {
            /** @var class-string<Sent> $class */
            $app->bind($class, static fn (): Sent => $app->make(SentReader::class)->read($class, $app->make(Request::class)));
        });
        $this->app->singleton(StartSession::class, static fn ($app): StartSession => new KeepSession($app->make('session'), static fn () => $app->make('cache')));
        // What serves keeps its connection from one request to the next: making one costs more than all an empty request does.
        // A statement goes to the database with its values, once: preparing it, running it and forgetting it again are three
        // ways there and back for a statement that is asked once a request.
        config(['database.connections.pgsql.options' => [PDO::PGSQL_ATTR_DISABLE_PREPARES => true] + (PHP_SAPI === 'fpm-fcgi' ? [PDO::ATTR_PERSISTENT => true] : [])]);
        // What is asked for is kept with what asked for it, in one transaction; what is done at once is done after it.
        config(['queue.connections.sync.after_commit' => true]);
        // A request is what it says it is: no header and no field makes another of it.
        Request::setAllowedHttpMethodOverride([]);
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
        RateLimiter::for('sign-in', static function (Request $request): array {
            $email = $request->input('email');
            $address = is_string($email) ? mb_strtolower(trim($email)) : '';
            // Only what was refused counts: guessing is slowed down, signing in is not.
            $refused = static fn (Limit $limit): Limit => $limit->after(static fn (Response $response): bool => ! $response->isSuccessful());
            $device = KnownDevice::of($request, $address);
            // A device that signed in before is nobody who guesses: however many others do, it has a limit of its own.
            if ($device !== null) {
                return [$refused(Limit::perMinute(10)->by("known|$device|$address"))];
            }

            return [$refused(Limit::perMinute(10)->by("client|{$request->ip()}")), $refused(Limit::perHour(100)->by("address|$address"))];
        });
    }
}
