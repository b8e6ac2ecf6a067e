<?php

declare(strict_types=1);

use App\Health;
use Illuminate\Support\Facades\Schedule;

// Run every minute by bin/start.
Schedule::call(Health::try(...))->name('trial write')->everyMinute();
