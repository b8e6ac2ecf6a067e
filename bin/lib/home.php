<?php

declare(strict_types=1);

/*
 * bin/bench --home: a form of 150 entries and a group of 40 with six classes behind it; the price of a notch and everyone's
 * practice sheets and letters, beside GET /api/session of the same run. Expects the pages at GORVAN_ADDRESS.
 */

use App\Actions\FillGroup;
use App\Actions\FoundSchool;
use App\Actions\LayTerm;
use App\Actions\LogClass;
use App\Actions\NewCourse;
use App\Actions\ReadForm;
use App\Actions\SaveForm;
use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Meeting;
use Gorvan\Core\Record\ClassLog;
use Gorvan\Core\Record\Doing;
use Gorvan\Core\Record\DoingKind;
use Gorvan\Core\Term\Approach;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Str;

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
require __DIR__.'/asking.php';

const ENTRIES = 150;
const MEMBERS = 40;
const CLASSES = 6;
const ROUNDS = 150;

$owner = app(FoundSchool::class)('Bench', 'Europe/Berlin', 'Bench', 'bench@bench.example', PASSWORD);
[$form, $group, $term] = app(CurrentSchool::class)->during($owner->school, static function () use ($owner): array {
    $list = "# Bench\n".implode("\n", array_map(static fn (int $n): string => "$n. Movement ".intdiv($n + 1, 2).($n % 2 === 1 ? ' (L)' : ' (R)'), range(1, ENTRIES)));
    $form = app(SaveForm::class)(app(ReadForm::class)($list)->form);
    $group = Group::create(['name' => 'Home', 'form_id' => $form->id]);
    $today = new DateTimeImmutable('today', new DateTimeZone('Europe/Berlin'));
    app(FillGroup::class)($group, array_map(static fn (int $n): string => "Student $n", range(1, MEMBERS)), $today->modify('-60 days')->format('Y-m-d'));
    $first = $today->modify('-'.(7 * CLASSES).' days');
    $term = app(LayTerm::class)($group, 'Now', ['from' => $first->format('Y-m-d'), 'to' => $today->modify('+42 days')->format('Y-m-d'), 'pattern' => [['weekday' => $first->format('D'), 'at' => '00:05', 'minutes' => 75]], 'closures' => []], [new NewCourse($form, Approach::PieceByPiece)]);
    $students = array_values($group->students()->pluck('students.id')->all());
    foreach ($term->meetings()->orderBy('starts_at')->limit(CLASSES)->get() as $n => $meeting) {
        $entries = array_map(static fn (int $at): string => sprintf('e%02d', $at), range(1, 10 * ($n + 1)));
        app(LogClass::class)(Meeting::findOrFail($meeting->id), new ClassLog((string) Str::ulid(), $meeting->id, $meeting->on, new DateTimeImmutable, 75.0, $students, [new Doing(DoingKind::Taught, $form->id, $entries)]), $owner);
    }

    return [$form->id, $group->id, $term->id];
});
$browser = new Browser((string) getenv('GORVAN_ADDRESS'));
$sheets = json_decode($browser->ask('GET', "/api/groups/$group/practice"), true)['sheets'];
printf("%d sheets, %d of them with something to practise\n", count($sheets), count(array_filter($sheets, static fn (array $one): bool => $one['passages'] !== [])));
$asked = [
    'session' => '/api/session', 'notch, the form’s' => "/api/forms/$form/prices?moving=12", 'workbench' => "/api/forms/$form/workbench?count=30",
    'a lesson' => "/api/forms/$form/lessons/5", '40 sheets' => "/api/groups/$group/practice", '40 letters' => "/api/terms/$term/end",
];
$seconds = [];
for ($round = -5; $round < ROUNDS; $round++) {
    foreach ($asked as $name => $url) {
        $one = took(static function () use ($browser, $url): void {
            $browser->ask('GET', $url);
        });
        if ($round >= 0) {
            $seconds[$name][] = $one;
        }
    }
}
foreach ($seconds as $name => $all) {
    printf("%-18s %6.1f ms %6.1f ms at 95 %%, %5.2f x\n", $name, 1000 * at(0.5, $all), 1000 * at(0.95, $all), at(0.95, $all) / at(0.95, $seconds['session']));
}
echo "x = the 95th percentile beside that of GET /api/session in the same run\n";
