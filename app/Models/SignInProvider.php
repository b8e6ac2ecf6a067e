<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Auth\EloquentUserProvider;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Finds whoever signs in, or is signed in, before any school is known: by the one function of the database that may. */
final class SignInProvider extends EloquentUserProvider
{
    public function retrieveById($identifier): ?User
    {
        return is_string($identifier) && Str::isUuid($identifier) ? self::found(null, $identifier) : null;
    }

    /** @param  array<string, mixed>  $credentials */
    public function retrieveByCredentials(array $credentials): ?User
    {
        $email = $credentials['email'] ?? null;

        return is_string($email) ? self::byAddress($email) : null;
    }

    /** Nobody is remembered longer than a session. */
    public function retrieveByToken($identifier, $token): ?Authenticatable
    {
        return null;
    }

    public static function byAddress(string $email): ?User
    {
        return self::found(mb_strtolower(trim($email)), null);
    }

    private static function found(?string $email, ?string $id): ?User
    {
        $row = DB::selectOne('select * from gorvan_who(?::text, ?::uuid)', [$email, $id]);

        return $row === null ? null : (new User)->newFromBuilder($row);
    }
}
