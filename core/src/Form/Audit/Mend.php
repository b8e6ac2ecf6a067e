<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

/** What would put a finding right, in one action. */
final readonly class Mend
{
    /**
     * @param  string  $says  a few words, as on a button
     * @param  list<array<string, mixed>>  $edits  as {@see \Gorvan\Core\Form\Edit\FormEditReader} reads them
     */
    public function __construct(public string $says, public array $edits)
    {
    }

    /** @param  array<string, mixed>  $fields  of the entry, as the form file has them; null takes a field out */
    public static function entry(string $says, string $id, array $fields): self
    {
        return new self($says, [['op' => 'set', 'id' => $id, 'fields' => $fields]]);
    }

    /** @param  array<string, mixed>  $fields  of the form */
    public static function form(string $says, array $fields): self
    {
        return new self($says, [['op' => 'form', 'fields' => $fields]]);
    }
}
