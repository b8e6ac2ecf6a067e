<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\PlacedForm;
use Gorvan\Core\Practice\GroupSheet;
use Gorvan\Core\Principle\Principle;

/** The days between two classes of a group, and what each of its students practises on them. */
final readonly class HomeWeek
{
    /**
     * @param  string  $on  the day of the class before, and `next` of the one after it, `Y-m-d`
     * @param  array<string, PlacedForm>  $forms  by course
     * @param  list<StudentSheet>  $sheets  by name
     * @param  list<Principle>  $focus
     * @param  GroupSheet|null  $together  one sheet for all
     */
    public function __construct(public string $on, public string $next, public float $minutes, public int $days, public array $forms, public array $sheets, public array $focus, public ?GroupSheet $together)
    {
    }
}
