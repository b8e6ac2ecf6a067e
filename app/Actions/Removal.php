<?php

declare(strict_types=1);

namespace App\Actions;

use Gorvan\Core\Reading\Message;

/** What taking something away comes to: what goes with it and what stays, in numbers; or why it stays itself. */
final readonly class Removal
{
    /**
     * @param  list<Message>  $goes
     * @param  list<Message>  $stays
     */
    private function __construct(public array $goes, public array $stays, public ?Message $refused)
    {
    }

    /**
     * @param  array<string, int>  $goes  by what is said of so many; what there is none of is not said
     * @param  array<string, int>  $stays
     */
    public static function takes(array $goes, array $stays = []): self
    {
        $said = static fn (array $counts): array => array_map(static fn (string $code, int $count): Message => Message::of("removal.$code", count: $count), array_keys(array_filter($counts)), array_values(array_filter($counts)));

        return new self($said($goes), $said($stays), null);
    }

    public static function refused(Message $why): self
    {
        return new self([], [], $why);
    }

    /** @throws Refused where it stays */
    public function orRefuse(): void
    {
        if ($this->refused !== null) {
            throw Refused::conflict($this->refused);
        }
    }
}
