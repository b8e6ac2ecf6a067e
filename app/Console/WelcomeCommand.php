<?php

declare(strict_types=1);

namespace App\Console;

use Database\Demo\DemoSchool;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

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
        if (DB::scalar('select gorvan_has_school(true)') === true) {
            $this->line('  Demo sign-ins      '.DemoSchool::OWNER.' (owner)');
            $this->line('                     '.DemoSchool::INSTRUCTOR.' (instructor)');
            $this->line('  Password           '.DemoSchool::PASSWORD);
        } elseif (DB::scalar('select gorvan_has_school(false)') === false) {
            $this->line('  There is no school yet; open the address to found one.');
        }
        $this->newLine();

        return self::SUCCESS;
    }
}
