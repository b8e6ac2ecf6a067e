<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle\Edit;

use Gorvan\Core\Principle\Principle;
use Gorvan\Core\Principle\PrincipleSet;
use Gorvan\Core\Principle\SetDifference;
use Gorvan\Core\Reading\NotAllowed;

/** What a set is called, where its wording comes from, and its families in order; a family can be called another way. */
final readonly class SayHead implements SetEdit
{
    /**
     * @param  list<string>  $families
     * @param  array<string, string>  $renamed  new names of families by their old ones
     */
    public function __construct(private string $title, private ?string $about, private array $families, private array $renamed = [])
    {
    }

    public function on(PrincipleSet $set): PrincipleSet
    {
        $principles = array_map(fn (Principle $one): Principle => $one->with(['family' => $this->renamed[$one->family ?? ''] ?? $one->family]), $set->principles);
        foreach ($principles as $one) {
            if ($one->family !== null && ! in_array($one->family, $this->families, true)) {
                throw NotAllowed::familyInUse('families', $one->family, $one->title);
            }
        }

        return PrincipleSet::of($this->title, $this->about, $this->families, $principles, $set->others);
    }

    public function touches(): array
    {
        return [SetDifference::HEAD];
    }
}
