<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A student at the end of a term. */
final readonly class TermEndStudent
{
    /**
     * @param  bool  $hasAddress  whether mail reaches them
     * @param  int  $came  classes, of those since they joined
     * @param  list<string>  $keeps  principles that hold
     * @param  string|null  $carry  the principle to carry on with
     * @param  list<TermResultData>  $forms  in the order of the courses
     */
    public function __construct(
        public string $id,
        public string $name,
        public bool $hasAddress,
        public int $came,
        public int $classes,
        public array $keeps,
        public ?string $carry,
        public array $forms,
        public ?LetterData $letter, )
    {
    }
}
