<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

/** What a fact is about: an entry, a principle, or a step of a partner drill, by id. */
final readonly class Subject
{
    private function __construct(public SubjectKind $kind, public string $id)
    {
    }

    public static function entry(string $id): self
    {
        return new self(SubjectKind::Entry, $id);
    }

    public static function principle(string $id): self
    {
        return new self(SubjectKind::Principle, $id);
    }

    public static function drillStep(string $id): self
    {
        return new self(SubjectKind::DrillStep, $id);
    }

    public function key(): string
    {
        return $this->kind === SubjectKind::Entry ? $this->id : "{$this->kind->value}:$this->id";
    }
}
