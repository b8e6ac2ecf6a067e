<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Reading\Message;

/** What would put a finding right, in one action. */
final readonly class Mend
{
    /**
     * @param  Message  $says  a few words, as on a button
     * @param  list<array<string, mixed>>  $edits  as {@see \Gorvan\Core\Form\Edit\FormEditReader} reads them
     */
    public function __construct(public Message $says, public array $edits)
    {
    }

    /** @param  array<string, mixed>  $fields  of the entry, as the form file has them; null takes a field out */
    public static function entry(Message $says, string $id, array $fields): self
    {
        return new self($says, [['op' => 'set', 'id' => $id, 'fields' => $fields]]);
    }

    /** @param  array<string, mixed>  $fields  of the form */
    public static function form(Message $says, array $fields): self
    {
        return new self($says, [['op' => 'form', 'fields' => $fields]]);
    }
}
