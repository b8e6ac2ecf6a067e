<?php

declare(strict_types=1);

use Gorvan\Core\Form\Audit\FormAudit;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Track\FloorTrack;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Record\Support;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\ExpectedStudent;
use Gorvan\Core\Term\KnownEntry;
use Gorvan\Core\Term\ReviewChooser;
use Gorvan\Core\Term\ReviewItem;
use Gorvan\Core\Term\ReviewProblem;
use Gorvan\Core\Term\TermMeeting;
use Gorvan\Core\Term\TermPlanner;
use Gorvan\Core\Term\TermRequest;
use Opis\JsonSchema\Validator;

require dirname(__DIR__, 2).'/vendor/autoload.php';

const RUNS = 7;
const WARM = 20_000;
const HISTORIES = 1000;
const LENGTH = 20;
const CUTS = 20;

/** @param  list<float>  $values */
function median(array $values): float
{
    sort($values);

    return $values[intdiv(count($values), 2)];
}

/** Seconds that some work takes. @param  callable(): void  $work */
function seconds(callable $work): float
{
    $start = hrtime(true);
    $work();

    return (hrtime(true) - $start) / 1e9;
}

/** @return array<string, mixed> what the reference libraries took, measured inside Node by the same count */
function reference(array $asked): array
{
    $node = proc_open(['node', __DIR__.'/bench.mjs'], [['pipe', 'r'], ['pipe', 'w'], STDERR], $pipes);
    fwrite($pipes[0], json_encode($asked, JSON_THROW_ON_ERROR));
    fclose($pipes[0]);
    $answer = json_decode((string) stream_get_contents($pipes[1]), true, 16, JSON_THROW_ON_ERROR);
    proc_close($node);

    return $answer;
}

$model = new MemoryModel;
mt_srand(150);
/** @var list<list<array{int, int}>> $histories days since the one before, and the grade */
$histories = array_map(static fn (): array => array_map(static fn (): array => [mt_rand(1, 30), mt_rand(1, 4)], range(1, LENGTH)), range(1, HISTORIES));
$graded = array_map(static fn (int $grade): ?Evidence => $grade === 0 ? null : Evidence::seen($grade, $grade > 1 ? 1.0 : 0.0), range(0, 4));
$unseen = [Evidence::taught(), Evidence::practised(), Evidence::ranThrough(), Evidence::practised(), Evidence::ofMark(Support::Cued)];
/** @param  list<Evidence|null>  $evidence  by grade */
$updates = static function (array $histories, array $evidence) use ($model): void {
    foreach ($histories as $history) {
        $state = null;
        foreach ($history as [$days, $grade]) {
            $state = $state === null ? $model->first($evidence[$grade]) : $model->later($state, $days, $evidence[$grade]);
        }
    }
};
// Warm before anything is timed, here and in Node: what is compared is a loop that has run for a while.
$updates(array_slice($histories, 0, intdiv(WARM, LENGTH)), $graded);
$updates(array_slice($histories, 0, intdiv(WARM, LENGTH)), $unseen);

$entries = [];
for ($at = 1; $at <= 150; $at++) {
    $entries[] = new Entry("e$at", EntryKind::Movement, "E$at", steps: mt_rand(0, 4), turn: 45.0 * mt_rand(-4, 4), oneLeg: mt_rand(0, 5) === 0);
}
$form = new Form('T', $entries);
$cutter = new LessonCutter;
$cut = $cutter->cut($form);
$asked = [
    'histories' => $histories,
    'warm' => WARM,
    'form' => [
        'loads' => array_map(static fn ($load): float => $load->load, $cut->loads),
        'rests' => array_map(static fn ($join): float => $join->rest, $cut->joins),
        'target' => $cut->target,
        'lambda' => $cut->lambda,
        'lessons' => count($cut->lessons),
    ],
];

$ownUpdates = $planned = $ownCuts = $theirUpdates = $theirCuts = [];
for ($run = 0; $run < RUNS; $run++) {
    $ownUpdates[] = seconds(static fn () => $updates($histories, $graded)) / (HISTORIES * LENGTH);
    $planned[] = seconds(static fn () => $updates($histories, $unseen)) / (HISTORIES * LENGTH);
    $ownCuts[] = seconds(static function () use ($cutter, $form): void {
        for ($at = 0; $at < CUTS; $at++) {
            $cutter->cut($form);
        }
    }) / CUTS;
    $answer = reference($asked);
    $theirUpdates[] = $answer['update'];
    $theirCuts[] = $answer['cut'];
    if (abs($answer['objective'] - $cut->objective) > 1e-9) {
        fwrite(STDERR, "HiGHS found another objective: {$answer['objective']}, not {$cut->objective}\n");
        exit(1);
    }
}

// A whole score of 150 entries: what Gorvan computes of it, beside reading and validating its JSON by the published schema.
$kinds = ['in', 'out'];
$score = (object) ['format' => 'gorvan.form/1', 'title' => 'T', 'announced' => 150, 'entries' => array_map(static fn (int $at): object => (object) [
    'id' => "e$at", 'kind' => 'movement', 'number' => $at, 'title' => 'Movement '.intdiv($at + 1, 2), 'side' => $at % 2 ? 'left' : 'right', 'breaths' => 2,
    'first_step' => $at % 2 ? 'left' : 'right', 'steps' => mt_rand(0, 4), 'weight_end' => $at % 2 ? 90 : 10, 'turn' => 45 * mt_rand(-4, 4), 'travel' => [mt_rand(-2, 2), mt_rand(-2, 2)],
    'phases' => array_map(static fn (int $phase): object => (object) ['title' => "Phase $phase", 'breath' => $kinds[$phase % 2], 'weight' => mt_rand(0, 100), 'gaze' => 'level', 'cue' => 'shift to the {L}'], range(1, 4)),
    'cautions' => [(object) ['for' => 'knee', 'do' => 'smaller']], 'checks' => ['heel first'], 'cues' => ['turn from the waist'],
    ...($at % 2 ? [] : ['mirrors' => 'e'.($at - 1)]),
], range(1, 150))];
$json = json_encode($score, JSON_THROW_ON_ERROR);
$schema = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/formats/form.schema.json'));
$whole = (new FormFileReader)->read($json)->form;
$computed = $validated = [];
for ($run = 0; $run < RUNS; $run++) {
    $computed[] = seconds(static function () use ($whole): void {
        FormAudit::of($whole);
        (new LoadModel)->of($whole);
        FloorTrack::of($whole);
    });
    $validated[] = seconds(static function () use ($json, $schema): void {
        if (! (new Validator(max_errors: 1))->validate(json_decode($json), $schema)->isValid()) {
            fwrite(STDERR, "The score is not what the schema says.\n");
            exit(1);
        }
        (new FormFileReader)->read($json);
    });
}

// A plan of 40 meetings x 30 students x 108 entries, beside the bare memory updates it makes; and the choice of a review.
$long = new Form('P', array_map(static fn (int $at): Entry => new Entry("e$at", EntryKind::Movement, "E$at"), range(1, 108)));
$term = static function (int $meetings, int $students, array $taught, int $gap = 7) use ($long): TermRequest {
    $course = new Course('c', $long, new Passage(1, 108), Approach::PieceByPiece);
    $first = Day::number('2026-01-06');
    $known = array_fill_keys($taught, new KnownEntry(new MemoryState(20.0, 5.0), $first - 5));

    return new TermRequest('bench', array_map(static fn (int $at): TermMeeting => new TermMeeting(Day::text($first + $gap * $at), 75), range(0, $meetings - 1)), [
        new CourseOutset($course, $course->cut(new LessonCutter, [75], []), $taught, array_map(static fn (int $n): ExpectedStudent => new ExpectedStudent("s$n", 0.85, 1.0, $known), range(1, $students))),
    ]);
};
$bare = static function (int $count) use ($model, $unseen): void {
    $state = new MemoryState(20.0, 5.0);
    for ($at = 0; $at < $count; $at++) {
        $model->later($state, 1 + $at % 20, $unseen[1]);
    }
};
$plans = $bares = $choices = [];
$request = $term(40, 30, range(1, 60));
$planner = new TermPlanner;
$planner->plan($request);
for ($run = 0; $run < RUNS; $run++) {
    $plan = null;
    $plans[] = seconds(static function () use ($planner, $request, &$plan): void {
        $plan = $planner->plan($request);
    });
    $bares[] = seconds(static fn () => $bare($plan->updates));
}
$crowd = seconds(static fn () => $planner->plan($term(200, 120, [], 2)));
$problems = array_map(static fn (): ReviewProblem => new ReviewProblem(array_map(static fn (): ?ReviewItem => mt_rand(0, 9) === 0 ? null : new ReviewItem(mt_rand(0, 400) / 1000, mt_rand(2, 12) / 4), range(1, 108)), 24.0), range(1, 20));
$node = proc_open(['node', dirname(__DIR__, 2).'/tests/Outside/review.mjs'], [['pipe', 'r'], ['pipe', 'w'], STDERR], $pipes);
fwrite($pipes[0], json_encode(array_map(static fn (ReviewProblem $one): array => ['entries' => array_map(static fn (?ReviewItem $item): ?array => $item === null ? null : ['value' => $item->value, 'minutes' => $item->minutes], $one->entries), 'budget' => $one->budget, 'setup' => $one->setUp], $problems)));
fclose($pipes[0]);
$solved = json_decode((string) stream_get_contents($pipes[1]), true);
proc_close($node);
foreach ($problems as $at => $problem) {
    $choice = null;
    $choices[] = seconds(static function () use ($problem, &$choice): void {
        $choice = (new ReviewChooser)->choose($problem);
    });
    if (abs($choice->value() - $solved[$at]['value']) > 1e-9) {
        fwrite(STDERR, "HiGHS chose another review\n");
        exit(1);
    }
}

[$own, $theirs] = [median($ownUpdates), median($theirUpdates)];
printf("recall   %9d updates a second; ts-fsrs %9d; ratio %.2f (higher is faster)\n", 1 / $own, 1 / $theirs, $theirs / $own);
printf("         %9d of what a plan counts with, seen by nobody, mostly mixed; ratio %.2f\n", 1 / median($planned), $theirs / median($planned));
[$own, $theirs] = [median($ownCuts), median($theirCuts)];
printf("cutting  150 entries in %.2f ms; HiGHS %.1f ms; ratio %.1f (higher is faster)\n", 1000 * $own, 1000 * $theirs, $theirs / $own);
[$own, $theirs] = [median($computed), median($validated)];
printf("score    audit, load and floor track of 150 entries with phases in %.2f ms; reading and validating its JSON %.1f ms; share %.3f (lower is better)\n", 1000 * $own, 1000 * $theirs, $own / $theirs);
[$own, $theirs] = [median($plans), median($bares)];
printf("plan     40 meetings x 30 students x 108 entries in %.0f ms; its %d bare memory updates %.0f ms; %.2f times (lower is better)\n", 1000 * $own, $plan->updates, 1000 * $theirs, $own / $theirs);
printf("         200 meetings, 120 students: %.1f s\n", $crowd);
[$own, $theirs] = [median($choices), median(array_column($solved, 'seconds'))];
printf("review   of 108 entries in %.2f ms; HiGHS %.1f ms; ratio %.1f (higher is faster)\n", 1000 * $own, 1000 * $theirs, $theirs / $own);
printf("medians of %d runs\n", RUNS);
