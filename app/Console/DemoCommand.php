<?php

declare(strict_types=1);

namespace App\Console;

use App\Mail\MailboxTransport;
use App\Models\CurrentSchool;
use App\Models\SignInProvider;
use App\Models\Term;
use Database\Demo\DemoSchool;
use DateTimeZone;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Loads the invented demo school into an empty database, and says so when its term is over. */
final class DemoCommand extends Command
{
    protected $signature = 'gorvan:demo
        {--another=* : one more demo school, whose owner signs in with this address}
        {--zone= : the time zone of the demo school, by its name (Europe/London)}';

    protected $description = 'Load the invented demo school when the database is empty';

    public function handle(DemoSchool $demo, CurrentSchool $current): int
    {
        // The demo is whole when the command ends, worker or not; and what it mails is for nobody.
        config(['queue.default' => 'sync', 'mail.default' => MailboxTransport::NAME]);
        $zone = $this->option('zone') ?? DemoSchool::ZONE;
        if (! is_string($zone) || ! in_array($zone, DateTimeZone::listIdentifiers(), true)) {
            $this->components->error('No time zone has this name. One like Europe/London is meant.');

            return self::INVALID;
        }
        foreach ((array) $this->option('another') as $email) {
            if (SignInProvider::byAddress((string) $email) === null) {
                $demo->load(static fn () => null, (string) $email, $zone);
            }
        }
        $id = DB::scalar('select gorvan_demo_school()');
        $school = is_string($id) ? $current->find($id) : null;
        if ($school !== null) {
            $ends = $current->during($school, static fn (): mixed => Term::max('ends_on'));
            if (is_string($ends) && $ends < now()->format('Y-m-d')) {
                $this->components->warn("The demo's term ended on $ends. bin/start --fresh-demo loads it anew, with a meeting tonight.");
            }

            return self::SUCCESS;
        }
        if (DB::scalar('select gorvan_has_school(false)') === false) {
            $this->components->info('Loading the demo school (invented, and made as a teacher would make it):');
            $demo->load(fn (string $part) => $this->line("   $part"), zone: $zone);
        }

        return self::SUCCESS;
    }
}
