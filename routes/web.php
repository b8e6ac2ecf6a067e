<?php

declare(strict_types=1);

use App\Http\Controllers\CalendarController;
use Illuminate\Support\Facades\Route;

// A calendar program has no cookie: whoever has the address of a feed reads it.
Route::get('feed/{school}/{secret}.ics', [CalendarController::class, 'feed'])->where('secret', '[A-Za-z0-9]{48}')->middleware('throttle:60,1');

// A student's own page keeps to itself: another page, another store, another worker.
Route::view('/mine/home', 'mine');

// Every address of the application is answered by the one page; React Router reads the rest.
Route::view('/{path?}', 'app')->where('path', '^(?!api(/|$)|mine/api(/|$)|build/|sanctum/|up$).*$')->name('app');
