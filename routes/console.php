<?php

declare(strict_types=1);

use App\Health;
use App\Jobs\WaitingJobs;
use Illuminate\Support\Facades\Schedule;

// Run every minute by bin/start.
Schedule::call(Health::try(...))->name('trial write')->everyMinute();
Schedule::call(WaitingJobs::release(...))->name('jobs of another clock')->everyMinute();
