<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A student at the end of a term. */
#[OA\Schema]
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
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public bool $hasAddress,
        #[OA\Property]
        public int $came,
        #[OA\Property]
        public int $classes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $keeps,
        #[OA\Property]
        public ?string $carry,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TermResultData::class))]
        public array $forms,
        #[OA\Property]
        public ?LetterData $letter, )
    {
    }
}
