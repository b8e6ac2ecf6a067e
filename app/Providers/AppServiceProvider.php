<?php

declare(strict_types=1);

namespace App\Providers;

use App\Mail\MailboxTransport;
use App\Models\CurrentSchool;
use App\Policies\Abilities;
use App\Record\EntryRows;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Symfony\Component\HttpFoundation\Response;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentSchool::class);
        $this->app->scoped(EntryRows::class);
        // Nothing is kept in files that are handed out, so no route for them either.
        config(['filesystems.disks.local.serve' => false]);
        config(['mail.mailers.'.MailboxTransport::NAME => ['transport' => MailboxTransport::NAME], 'mail.default' => config('gorvan.mailer')]);
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->isProduction());
        JsonResource::withoutWrapping();
        Abilities::register();
        Mail::extend(MailboxTransport::NAME, static fn (): MailboxTransport => new MailboxTransport);
        // A class shares one address: only what opened nothing counts.
        RateLimiter::for('personal-link', static fn (Request $request): Limit => Limit::perMinute(10)->by('mine|'.$request->ip())
            ->after(static fn (Response $response): bool => ! $response->isSuccessful()));
        RateLimiter::for('sign-in', static function (Request $request): Limit {
            $email = $request->input('email');

            // Only what was refused counts: guessing is slowed down, signing in is not.
            return Limit::perMinute(10)
                ->by((is_string($email) ? mb_strtolower($email) : '').'|'.$request->ip())
                ->after(static fn (Response $response): bool => ! $response->isSuccessful());
        });
    }
}
