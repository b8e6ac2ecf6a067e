<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\CurrentSchool;
use App\Models\School;
use App\Models\Term;
use Database\Demo\DemoSchool;
use Illuminate\Console\Command;

/** Loads the invented demo school into an empty database, and says so when its term is over. */
final class DemoCommand extends Command
{
    protected $signature = 'gorvan:demo';

    protected $description = 'Load the invented demo school when the database is empty';

    public function handle(DemoSchool $demo, CurrentSchool $current): int
    {
        $school = School::where('is_demo', true)->first();
        if ($school !== null) {
            $ends = $current->during($school, static fn (): mixed => Term::max('ends_on'));
            if (is_string($ends) && $ends < now()->format('Y-m-d')) {
                $this->components->warn("The demo's term ended on $ends. bin/start --fresh-demo loads it anew, with a meeting tonight.");
            }

            return self::SUCCESS;
        }
        if (! School::exists()) {
            $this->components->info('Loading the demo school (invented, and made as a teacher would make it):');
            $demo->load(fn (string $part) => $this->line("   $part"));
        }

        return self::SUCCESS;
    }
}
