<?php

declare(strict_types=1);

use App\Http\Controllers\BookController;
use App\Http\Controllers\CalendarController;
use App\Http\Controllers\CareController;
use App\Http\Controllers\ClassController;
use App\Http\Controllers\CutController;
use App\Http\Controllers\ExportController;
use App\Http\Controllers\FindController;
use App\Http\Controllers\FormController;
use App\Http\Controllers\FormFileController;
use App\Http\Controllers\GroupController;
use App\Http\Controllers\LessonController;
use App\Http\Controllers\LetterController;
use App\Http\Controllers\MailController;
use App\Http\Controllers\MeetingController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\PracticeController;
use App\Http\Controllers\PrincipleController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\SchoolController;
use App\Http\Controllers\ScoreController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\StudentController;
use App\Http\Controllers\TermController;
use Illuminate\Support\Facades\Route;

Route::get('session', [SessionController::class, 'show']);
Route::middleware(['own', 'throttle:sign-in'])->group(static function (): void {
    Route::post('session', [SessionController::class, 'store']);
    Route::post('founding', [SessionController::class, 'found']);
});

// Everything below belongs to the school of whoever is signed in, and every route says which ability it asks for.
Route::middleware(['auth:sanctum', 'school'])->group(static function (): void {
    Route::delete('session', [SessionController::class, 'destroy'])->middleware('own');
    Route::get('today', [MeetingController::class, 'today'])->can('read');
    Route::get('find', FindController::class)->can('read');

    Route::get('forms', [FormController::class, 'index'])->can('read');
    Route::post('forms/preview', [FormController::class, 'preview'])->can('edit-forms');
    Route::post('forms', [FormController::class, 'store'])->can('edit-forms')->middleware('once');
    Route::get('forms/{form}', [FormController::class, 'show'])->can('read', 'form');
    Route::get('forms/{form}/score', [ScoreController::class, 'show'])->can('read', 'form');
    Route::post('forms/{form}/edits', [ScoreController::class, 'edit'])->can('edit-forms', 'form');
    Route::get('forms/{form}/versions', [ScoreController::class, 'versions'])->can('read', 'form');
    Route::get('forms/{form}/difference', [ScoreController::class, 'difference'])->can('read', 'form');
    Route::post('forms/{form}/restore', [ScoreController::class, 'restore'])->can('edit-forms', 'form')->middleware('once');
    Route::post('forms/{form}/take-back', [ScoreController::class, 'takeBack'])->can('edit-forms', 'form');
    Route::get('starters', [FormFileController::class, 'starters'])->can('edit-forms');
    Route::get('forms/{form}/file', [FormFileController::class, 'file'])->can('read', 'form');
    Route::get('forms/{form}/losses', [FormFileController::class, 'losses'])->can('read', 'form');
    Route::post('forms/{form}/import/preview', [FormFileController::class, 'preview'])->can('edit-forms', 'form');
    Route::post('forms/{form}/import', [FormFileController::class, 'import'])->can('edit-forms', 'form')->middleware('once');
    Route::get('forms/{form}/floor', [RunController::class, 'floor'])->can('read', 'form');
    Route::get('forms/{form}/times', [RunController::class, 'times'])->can('read', 'form');
    Route::get('forms/{form}/beats', [RunController::class, 'beats'])->can('read', 'form');
    Route::get('forms/{form}/cards', [RunController::class, 'cards'])->can('read', 'form');
    Route::get('forms/{form}/principles', [PrincipleController::class, 'shownIn'])->can('read', 'form');
    Route::get('forms/{form}/workbench', [CutController::class, 'show'])->can('read', 'form');
    Route::get('forms/{form}/prices', [CutController::class, 'prices'])->can('read', 'form');
    Route::get('forms/{form}/lessons', [LessonController::class, 'index'])->can('read', 'form');
    Route::get('forms/{form}/courses', [LessonController::class, 'courses'])->can('read', 'form');
    Route::get('forms/{form}/lessons/{number}', [LessonController::class, 'show'])->can('read', 'form');
    Route::put('forms/{form}/lessons', [LessonController::class, 'keep'])->can('edit-forms', 'form');
    Route::get('forms/{form}/lessons-file', [LessonController::class, 'file'])->can('read', 'form');
    Route::post('forms/{form}/lessons-file', [LessonController::class, 'import'])->can('edit-forms', 'form')->middleware('once');
    Route::delete('lessons/{lesson}', [LessonController::class, 'destroy'])->can('edit-forms', 'lesson');
    Route::post('lessons/{lesson}/use', [LessonController::class, 'useAgain'])->can('edit-forms', 'lesson')->middleware('once');
    Route::put('forms/{form}/joins', [FormController::class, 'joins'])->can('edit-forms', 'form');
    Route::put('forms/{form}/cutting', [FormController::class, 'cutting'])->can('edit-forms', 'form');
    Route::get('forms/{form}/removal', [FormController::class, 'removal'])->can('edit-forms', 'form');
    Route::delete('forms/{form}', [FormController::class, 'destroy'])->can('edit-forms', 'form');

    Route::get('principle-starters', [PrincipleController::class, 'starters'])->can('edit-forms');
    Route::get('principle-sets', [PrincipleController::class, 'index'])->can('read');
    Route::post('principle-sets', [PrincipleController::class, 'store'])->can('edit-forms')->middleware('once');
    Route::get('principle-sets/{principleSet}', [PrincipleController::class, 'show'])->can('read', 'principleSet');
    Route::post('principle-sets/{principleSet}/edits', [PrincipleController::class, 'edit'])->can('edit-forms', 'principleSet');
    Route::post('principle-sets/{principleSet}/import', [PrincipleController::class, 'import'])->can('edit-forms', 'principleSet')->middleware('once');
    Route::get('principle-sets/{principleSet}/versions', [PrincipleController::class, 'versions'])->can('read', 'principleSet');
    Route::post('principle-sets/{principleSet}/restore', [PrincipleController::class, 'restore'])->can('edit-forms', 'principleSet')->middleware('once');
    Route::get('principle-sets/{principleSet}/file', [PrincipleController::class, 'written'])->can('read', 'principleSet');
    Route::get('principle-sets/{principleSet}/removal', [PrincipleController::class, 'removal'])->can('edit-forms', 'principleSet');
    Route::delete('principle-sets/{principleSet}', [PrincipleController::class, 'destroy'])->can('edit-forms', 'principleSet');
    Route::get('principle-sets/{principleSet}/forms/{form}', [PrincipleController::class, 'bites'])->can('read', ['principleSet', 'form']);
    Route::post('principle-sets/{principleSet}/forms/{form}', [PrincipleController::class, 'join'])->can('edit-forms', ['principleSet', 'form']);

    Route::get('groups', [GroupController::class, 'index'])->can('read');
    Route::post('groups', [GroupController::class, 'store'])->can('plan')->middleware('once');
    Route::get('groups/{group}', [GroupController::class, 'show'])->can('read', 'group');
    Route::post('groups/{group}/before', [GroupController::class, 'before'])->can('plan', 'group');
    Route::get('groups/{group}/principles', [GroupController::class, 'principles'])->can('read', 'group');
    Route::put('groups/{group}/principles', [GroupController::class, 'choosePrinciples'])->can('plan', 'group');
    Route::post('groups/{group}/students', [GroupController::class, 'addStudents'])->can('plan', 'group')->middleware('once');
    Route::delete('groups/{group}/students', [GroupController::class, 'removeStudents'])->can('plan', 'group');
    Route::post('groups/{group}/move', [GroupController::class, 'move'])->can('plan', 'group');
    Route::get('groups/{group}/removal', [GroupController::class, 'removal'])->can('plan', 'group');
    Route::delete('groups/{group}', [GroupController::class, 'destroy'])->can('plan', 'group');
    Route::get('students', [StudentController::class, 'index'])->can('read');
    Route::get('groups/{group}/lines', [StudentController::class, 'lines'])->can('read', 'group');
    Route::get('students/{student}', [StudentController::class, 'show'])->can('read', 'student');
    Route::get('students/{student}/line', [StudentController::class, 'line'])->can('read', 'student');
    Route::get('students/{student}/curve', [StudentController::class, 'curve'])->can('read', 'student');
    Route::patch('students/{student}', [StudentController::class, 'rename'])->can('plan', 'student');

    Route::put('students/{student}/details', [StudentController::class, 'details'])->can('plan', 'student');
    Route::put('students/{student}/pause', [StudentController::class, 'pause'])->can('plan', 'student');
    Route::put('students/{student}/list', [StudentController::class, 'onList'])->can('plan', 'student');
    Route::post('students/{student}/joined', [StudentController::class, 'join'])->can('plan', 'student');
    Route::post('students/{student}/apart', [StudentController::class, 'apart'])->can('plan', 'student');
    Route::get('students/{student}/considerations', [CareController::class, 'index'])->can('see-considerations', 'student');
    Route::put('students/{student}/considerations/{consideration}', [CareController::class, 'keep'])->can('see-considerations', 'student');
    Route::delete('students/{student}/considerations/{consideration}', [CareController::class, 'remove'])->can('see-considerations', 'student');
    Route::get('meetings/{meeting}/care', [CareController::class, 'reasons'])->can('see-considerations', 'meeting');

    Route::get('groups/{group}/practice', [PracticeController::class, 'show'])->can('read', 'group');
    Route::put('groups/{group}/practice', [PracticeController::class, 'say'])->can('plan', 'group');
    Route::get('groups/{group}/home', [PracticeController::class, 'home'])->can('read', 'group');
    Route::post('groups/{group}/links', [PracticeController::class, 'makeLinks'])->can('plan', 'group');
    Route::get('students/{student}/home', [PracticeController::class, 'ofStudent'])->can('read', 'student');
    Route::post('students/{student}/link', [PracticeController::class, 'makeLink'])->can('plan', 'student');
    Route::delete('students/{student}/link', [PracticeController::class, 'revokeLink'])->can('plan', 'student');
    Route::put('student-questions/{studentQuestion}/answer', [PracticeController::class, 'answer'])->can('mark', 'studentQuestion');

    Route::get('mails', [MailController::class, 'index'])->can('plan');

    Route::get('groups/{group}/table', [ExportController::class, 'table'])->can('read', 'group');
    Route::get('students/{student}/record', [ExportController::class, 'record'])->can('see-considerations', 'student');

    Route::put('school', [SchoolController::class, 'keep'])->can('run-school');
    Route::get('school/warm-ups', [SchoolController::class, 'warmUps'])->can('read');
    Route::put('school/warm-ups', [SchoolController::class, 'saveWarmUps'])->can('edit-forms');
    Route::get('school/forecast', [SchoolController::class, 'forecast'])->can('read');
    Route::put('school/forecast/factor', [SchoolController::class, 'adopt'])->can('run-school');
    Route::put('groups/{group}/room', [GroupController::class, 'room'])->can('plan', 'group');

    Route::get('terms', [TermController::class, 'index'])->can('read');
    Route::get('terms/next', [TermController::class, 'next'])->can('plan');
    Route::post('terms/preview', [TermController::class, 'preview'])->can('plan');
    Route::post('terms/sketch', [TermController::class, 'sketch'])->can('plan');
    Route::post('terms', [TermController::class, 'store'])->can('plan')->middleware('once');
    Route::get('terms/{term}', [TermController::class, 'show'])->can('read', 'term');
    Route::get('terms/{term}/removal', [TermController::class, 'removal'])->can('plan', 'term');
    Route::delete('terms/{term}', [TermController::class, 'destroy'])->can('plan', 'term');

    Route::get('terms/{term}/end', [LetterController::class, 'show'])->can('plan', 'term');
    Route::put('terms/{term}/letters', [LetterController::class, 'keep'])->can('plan', 'term');
    Route::post('terms/{term}/letters/sending', [LetterController::class, 'send'])->can('plan', 'term');
    Route::delete('letters/{letter}', [LetterController::class, 'destroy'])->can('plan', 'letter');
    Route::put('school/letter-words', [LetterController::class, 'words'])->can('plan');

    Route::get('terms/{term}/changes', [PlanController::class, 'history'])->can('read', 'term');
    Route::post('terms/{term}/changes/preview', [PlanController::class, 'preview'])->can('plan', 'term');
    Route::post('terms/{term}/changes', [PlanController::class, 'change'])->can('plan', 'term')->middleware('once');
    Route::post('plan-changes/{change}/take-back', [PlanController::class, 'takeBack'])->can('plan', 'change');
    Route::post('terms/{term}/courses', [PlanController::class, 'addCourse'])->can('plan', 'term')->middleware('once');
    Route::patch('courses/{course}', [PlanController::class, 'changeCourse'])->can('plan', 'course');
    Route::delete('courses/{course}', [PlanController::class, 'removeCourse'])->can('plan', 'course');
    Route::get('terms/{term}/questions', [PlanController::class, 'questions'])->can('read', 'term');
    Route::post('terms/{term}/questions', [PlanController::class, 'ask'])->can('plan', 'term')->middleware('once');
    Route::post('plan-questions/{question}/take-over', [PlanController::class, 'takeOver'])->can('plan', 'question')->middleware('once');

    Route::post('calendar/closures', [CalendarController::class, 'closures'])->can('plan');
    Route::get('groups/{group}/calendar', [CalendarController::class, 'file'])->can('read', 'group');
    Route::post('groups/{group}/feed', [CalendarController::class, 'make'])->can('plan', 'group');
    Route::delete('groups/{group}/feed', [CalendarController::class, 'revoke'])->can('plan', 'group');

    Route::get('meetings/{meeting}', [MeetingController::class, 'show'])->can('read', 'meeting');
    Route::get('meetings/{meeting}/class', [ClassController::class, 'show'])->can('read', 'meeting');
    Route::get('meetings/{meeting}/pods', [ClassController::class, 'pods'])->can('read', 'meeting');
    Route::get('meetings/{meeting}/pairs', [ClassController::class, 'pairs'])->can('read', 'meeting');
    Route::put('meetings/{meeting}/attendance', [ClassController::class, 'attendance'])->can('mark', 'meeting');
    Route::post('meetings/{meeting}/guests', [ClassController::class, 'guest'])->can('mark', 'meeting');
    Route::post('meetings/{meeting}/marks', [ClassController::class, 'marks'])->can('mark', 'meeting');
    Route::get('meetings/{meeting}/log', [ClassController::class, 'logged'])->can('read', 'meeting');
    Route::post('meetings/{meeting}/log', [ClassController::class, 'log'])->can('plan', 'meeting');
    Route::post('withdrawals', [ClassController::class, 'withdraw'])->can('mark'); // and by what it withdraws
    Route::get('groups/{group}/book', [BookController::class, 'show'])->can('read', 'group');
    Route::post('groups/{group}/pace', [BookController::class, 'resetPace'])->can('plan', 'group');
});
