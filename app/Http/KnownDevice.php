<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Cookie;

/**
 * A device on which somebody has signed in before, by a cookie that the application sealed: who guesses at an address from
 * elsewhere cannot shut its owner out of it. It lets nobody in.
 */
final class KnownDevice
{
    public const COOKIE = 'gorvan_known';

    private const DAYS = 365;

    /** Of so many people a device is known; the one that signed in longest ago goes. */
    private const MOST = 8;

    /** What the device is called, where somebody of this address has signed in on it; null else. */
    public static function of(Request $request, string $address): ?string
    {
        [$device, $known] = self::read($request);

        return in_array(self::sealed($address), $known, true) ? $device : null;
    }

    /** The cookie after somebody has signed in. */
    public static function with(Request $request, string $address): Cookie
    {
        [$device, $known] = self::read($request);
        $all = array_slice([self::sealed($address), ...array_diff($known, [self::sealed($address)])], 0, self::MOST);

        return new Cookie(self::COOKIE, json_encode([$device, ...$all], JSON_THROW_ON_ERROR), now()->addDays(self::DAYS), '/', null, $request->isSecure(), true, false, Cookie::SAMESITE_STRICT);
    }

    /** @return array{string, list<string>} */
    private static function read(Request $request): array
    {
        $kept = $request->cookie(self::COOKIE);
        $read = is_string($kept) ? json_decode($kept, true) : null;
        $texts = is_array($read) ? array_values(array_filter($read, is_string(...))) : [];

        return [$texts[0] ?? Str::random(20), array_slice($texts, 1)];
    }

    /** An address is not to be read out of a cookie, sealed or not. */
    private static function sealed(string $address): string
    {
        return substr(hash_hmac('sha256', mb_strtolower(trim($address)), (string) config('app.key')), 0, 32);
    }
}
