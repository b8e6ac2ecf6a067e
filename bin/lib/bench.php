<?php

declare(strict_types=1);

use Gorvan\Core\Form\Audit\FormAudit;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;
use Gorvan\Core\Form\Track\FloorTrack;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Record\Support;
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

[$own, $theirs] = [median($ownUpdates), median($theirUpdates)];
printf("recall   %9d updates a second; ts-fsrs %9d; ratio %.2f (higher is faster)\n", 1 / $own, 1 / $theirs, $theirs / $own);
printf("         %9d of what a plan counts with, seen by nobody, mostly mixed; ratio %.2f\n", 1 / median($planned), $theirs / median($planned));
[$own, $theirs] = [median($ownCuts), median($theirCuts)];
printf("cutting  150 entries in %.2f ms; HiGHS %.1f ms; ratio %.1f (higher is faster)\n", 1000 * $own, 1000 * $theirs, $theirs / $own);
[$own, $theirs] = [median($computed), median($validated)];
printf("score    audit, load and floor track of 150 entries with phases in %.2f ms; reading and validating its JSON %.1f ms; share %.3f (lower is better)\n", 1000 * $own, 1000 * $theirs, $own / $theirs);
printf("medians of %d runs\n", RUNS);
