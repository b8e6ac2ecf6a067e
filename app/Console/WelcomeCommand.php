<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\School;
use Database\Demo\DemoSchool;
use Illuminate\Console\Command;

/** Says where the pages are and how to sign in. */
final class WelcomeCommand extends Command
{
    protected $signature = 'gorvan:welcome {address}';

    protected $description = 'Print the address and the demo sign-ins';

    public function handle(): int
    {
        $address = $this->argument('address');
        $this->newLine();
        $this->line('  Gorvan answers at  '.(is_string($address) ? $address : ''));
        if (School::where('is_demo', true)->exists()) {
            $this->line('  Demo sign-ins      '.DemoSchool::OWNER.' (owner)');
            $this->line('                     '.DemoSchool::INSTRUCTOR.' (instructor)');
            $this->line('  Password           '.DemoSchool::PASSWORD);
        } elseif (! School::exists()) {
            $this->line('  There is no school yet; open the address to found one.');
        }
        $this->newLine();

        return self::SUCCESS;
    }
}
