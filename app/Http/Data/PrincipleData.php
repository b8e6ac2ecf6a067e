<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\CommonError;
use Gorvan\Core\Form\PostureState;
use Gorvan\Core\Principle\Principle;

/** A principle of a set. */
final readonly class PrincipleData
{
    /**
     * @param  string  $id  of its row: what plans, logs and marks name
     * @param  string  $key  its id in the set
     * @param  list<string>  $look
     * @param  list<MendedData>  $errors
     * @param  list<string>  $after  keys of those that come before it
     * @param  list<PostureStateData>  $states
     */
    public function __construct(
        public string $id,
        public string $key,
        public string $title,
        public ?string $family,
        public ?string $says,
        public array $look,
        public array $errors,
        public array $after,
        public array $states,
    ) {
    }

    public static function of(Principle $one, string $id): self
    {
        return new self(
            $id,
            $one->id,
            $one->title,
            $one->family,
            $one->says,
            $one->look,
            array_map(static fn (CommonError $error): MendedData => new MendedData($error->wrong, $error->right), $one->errors),
            $one->after,
            array_map(static fn (PostureState $state): PostureStateData => new PostureStateData($state->part, $state->state), $one->states),
        );
    }
}
