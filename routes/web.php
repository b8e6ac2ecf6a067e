<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// Every address of the application is answered by the one page; React Router reads the rest.
Route::view('/{path?}', 'app')->where('path', '^(?!api(/|$)|build/|sanctum/|up$).*$')->name('app');
