<?php

declare(strict_types=1);

namespace Gorvan\Core\Tests;

use App\Words;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Message;

/** What a person reads of what core says: tests look at the words too, since a code can be right and its words false. */
final class Said
{
    public static function of(Message $message): string
    {
        return Words::of($message);
    }

    /** @param  list<Message>  $messages */
    public static function all(array $messages): string
    {
        return implode("\n", array_map(self::of(...), $messages));
    }

    /** Where and why something is refused. */
    public static function refused(callable $made): string
    {
        try {
            $made();
        } catch (BadInput $e) {
            return "$e->place: ".self::of($e->reason);
        }

        return 'nothing was refused';
    }
}
