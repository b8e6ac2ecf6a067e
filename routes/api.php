<?php

declare(strict_types=1);

use App\Http\Controllers\FormController;
use App\Http\Controllers\FormFileController;
use App\Http\Controllers\GroupController;
use App\Http\Controllers\MeetingController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\ScoreController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\TermController;
use App\Models\Form;
use App\Models\Group;
use App\Models\Meeting;
use App\Models\Term;
use Illuminate\Support\Facades\Route;

Route::get('session', [SessionController::class, 'show']);
Route::middleware('throttle:sign-in')->group(static function (): void {
    Route::post('session', [SessionController::class, 'store']);
    Route::post('founding', [SessionController::class, 'found']);
});

// Everything below belongs to the school of the person signed in, and every route says who may use it.
Route::middleware(['auth:sanctum', 'school'])->group(static function (): void {
    Route::delete('session', [SessionController::class, 'destroy']);
    Route::get('today', [MeetingController::class, 'today'])->can('viewAny', Meeting::class);

    Route::get('forms', [FormController::class, 'index'])->can('viewAny', Form::class);
    Route::post('forms/preview', [FormController::class, 'preview'])->can('create', Form::class);
    Route::post('forms', [FormController::class, 'store'])->can('create', Form::class);
    Route::get('forms/{form}', [FormController::class, 'show'])->can('view', 'form');
    Route::get('forms/{form}/score', [ScoreController::class, 'show'])->can('view', 'form');
    Route::post('forms/{form}/edits', [ScoreController::class, 'edit'])->can('update', 'form');
    Route::get('forms/{form}/versions', [ScoreController::class, 'versions'])->can('view', 'form');
    Route::get('forms/{form}/difference', [ScoreController::class, 'difference'])->can('view', 'form');
    Route::post('forms/{form}/restore', [ScoreController::class, 'restore'])->can('update', 'form');
    Route::post('forms/{form}/take-back', [ScoreController::class, 'takeBack'])->can('update', 'form');
    Route::get('starters', [FormFileController::class, 'starters'])->can('create', Form::class);
    Route::get('forms/{form}/file', [FormFileController::class, 'file'])->can('view', 'form');
    Route::get('forms/{form}/losses', [FormFileController::class, 'losses'])->can('view', 'form');
    Route::post('forms/{form}/import/preview', [FormFileController::class, 'preview'])->can('update', 'form');
    Route::post('forms/{form}/import', [FormFileController::class, 'import'])->can('update', 'form');
    Route::get('forms/{form}/floor', [RunController::class, 'floor'])->can('view', 'form');
    Route::get('forms/{form}/times', [RunController::class, 'times'])->can('view', 'form');
    Route::get('forms/{form}/beats', [RunController::class, 'beats'])->can('view', 'form');
    Route::get('forms/{form}/cards', [RunController::class, 'cards'])->can('view', 'form');
    Route::put('forms/{form}/joins', [FormController::class, 'joins'])->can('update', 'form');
    Route::put('forms/{form}/cutting', [FormController::class, 'cutting'])->can('update', 'form');
    Route::delete('forms/{form}', [FormController::class, 'destroy'])->can('update', 'form');

    Route::get('groups', [GroupController::class, 'index'])->can('viewAny', Group::class);
    Route::post('groups', [GroupController::class, 'store'])->can('create', Group::class);
    Route::get('groups/{group}', [GroupController::class, 'show'])->can('view', 'group');
    Route::post('groups/{group}/students', [GroupController::class, 'addStudents'])->can('update', 'group');
    Route::delete('groups/{group}', [GroupController::class, 'destroy'])->can('update', 'group');
    Route::delete('groups/{group}/students', [GroupController::class, 'removeStudents'])->can('update', 'group');

    Route::get('terms', [TermController::class, 'index'])->can('viewAny', Term::class);
    Route::post('terms/preview', [TermController::class, 'preview'])->can('create', Term::class);
    Route::post('terms', [TermController::class, 'store'])->can('create', Term::class);
    Route::get('terms/{term}', [TermController::class, 'show'])->can('view', 'term');
    Route::delete('terms/{term}', [TermController::class, 'destroy'])->can('update', 'term');

    Route::get('meetings/{meeting}', [MeetingController::class, 'show'])->can('view', 'meeting');
    Route::put('meetings/{meeting}/attendance', [MeetingController::class, 'attendance'])->can('update', 'meeting');
    Route::post('meetings/{meeting}/marks', [MeetingController::class, 'marks'])->can('update', 'meeting');
    Route::post('meetings/{meeting}/log', [MeetingController::class, 'log'])->can('update', 'meeting');
    Route::post('withdrawals', [MeetingController::class, 'withdraw'])->can('create', Meeting::class);
});
