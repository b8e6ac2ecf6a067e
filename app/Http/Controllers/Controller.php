<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Refused;
use App\Models\Viewer;
use Closure;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\Request;

abstract class Controller
{
    /** What a number of the database holds: a greater one is no version of anything. */
    protected const MOST_INTEGER = 2_147_483_647;

    /** Whoever sent the request; the routes let no one else in. */
    protected function viewer(Request $request): Viewer
    {
        $viewer = $request->user();
        abort_unless($viewer instanceof Viewer, 401);

        return $viewer;
    }

    /**
     * Two change the same thing: whoever saw something else than is there now, and wants something else again, is told.
     * Who does not say what they saw has been told, or has not looked.
     *
     * @param  mixed  $was  what was seen
     * @param  mixed  $is  what is there
     * @param  mixed  $wanted  what is to be there
     */
    protected static function unlessChanged(mixed $was, mixed $is, mixed $wanted): void
    {
        $alike = static fn (mixed $one, mixed $other): bool => json_decode((string) json_encode($one), true) == json_decode((string) json_encode($other), true);
        if ($was !== null && ! $alike($was, $is) && ! $alike($is, $wanted)) {
            throw Refused::conflict(Message::of('http.changed'));
        }
    }

    /** A rule: an instant with its offset. One in the future is a clock that runs fast, and no reason to refuse. */
    protected function instant(): Closure
    {
        return static function (string $attribute, mixed $value): void {
            try {
                Instant::read(JsonNode::of($value, $attribute));
            } catch (BadInput $e) {
                throw $e->movedTo($attribute);
            }
        };
    }
}
