<?php

declare(strict_types=1);

namespace App\Http;

/** The one script that stands in a page itself: it says which theme the page is drawn in, before any of it is. */
final class FirstLook
{
    private static ?string $script = null;

    public static function script(): string
    {
        return self::$script ??= (string) file_get_contents(resource_path('js/first-look.js'));
    }

    /** How a page's policy names it, so that no other script in a page is ever run. */
    public static function source(): string
    {
        return "'sha256-".base64_encode(hash('sha256', self::script(), true))."'";
    }
}
