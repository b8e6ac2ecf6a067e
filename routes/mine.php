<?php

declare(strict_types=1);

use App\Http\Controllers\MineController;
use Illuminate\Support\Facades\Route;

// A student's own page: no session and no sign-in, but the cookie a personal link is exchanged for, which is sent nowhere else.
Route::post('open', [MineController::class, 'open']);

Route::middleware('mine')->group(static function (): void {
    Route::get('/', [MineController::class, 'show']);
    Route::put('practices/{id}', [MineController::class, 'practised']);
    Route::delete('practices/{id}', [MineController::class, 'takeBack']);
    Route::put('questions/{id}', [MineController::class, 'ask']);
});
