<?php

declare(strict_types=1);

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Repetition;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\PlanFile;
use Gorvan\Core\Term\TermMeeting;
use Illuminate\Support\Facades\Artisan;
use Tests\Outside\Reference;

/** A form as some school might have it: openings, connectors, rests, holds, long holds, sides, sections. */
function someForm(): Form
{
    $count = mt_rand(5, 28);
    $kinds = fn (int $at): EntryKind => match (true) {
        $at === 1 && mt_rand(0, 2) === 0 => EntryKind::Opening,
        $at > 1 && mt_rand(0, 8) === 0 => [EntryKind::Connector, EntryKind::Extra][mt_rand(0, 1)],
        default => EntryKind::Movement,
    };
    $number = 0;
    $entries = array_map(function (int $at) use ($kinds, &$number): Entry {
        $kind = $kinds($at);

        return new Entry(
            "e$at",
            $kind,
            "E$at",
            number: $kind === EntryKind::Movement ? ++$number : null,
            demand: mt_rand(0, 2) === 0 ? mt_rand(50, 300) / 100 : null,
            repetition: mt_rand(0, 6) === 0 ? Repetition::parse(['6', '20 s', '4 br', '150 s', '3'][mt_rand(0, 4)]) : null,
            mirrors: $at > 3 && mt_rand(0, 3) === 0 ? 'e'.($at - mt_rand(1, 3)) : null,
        );
    }, range(1, $count));
    $middle = intdiv($count, 2);

    return new Form('T', $entries, mt_rand(0, 1) === 0 ? [] : [new Section('One', 1, $middle), new Section('Two', $middle + 1, $count)]);
}

/** @return array<string, mixed> what a term file says of a course */
function someCourse(int $count, string $from, int $days): array
{
    $stretch = function () use ($count): array {
        $at = mt_rand(1, $count);

        return [$at, min($count, $at + mt_rand(0, 4))];
    };
    $of = ['approach' => Approach::cases()[mt_rand(0, 3)]->value];
    $of += mt_rand(0, 4) === 0 ? ['keep' => mt_rand(0, 1) === 0 ? [$stretch()] : [$stretch(), $stretch()]] : [];
    $of += mt_rand(0, 3) === 0 ? ['target' => [mt_rand(1, intdiv($count, 3) + 1), mt_rand(intdiv($count, 3) + 1, $count)]] : [];
    $of += mt_rand(0, 3) === 0 ? ['known' => [$stretch()]] : [];
    $of += mt_rand(0, 2) === 0 ? ['showing' => ['on' => Day::text(Day::number($from) + 7 * mt_rand(2, intdiv($days, 7))), 'to' => mt_rand(2, $count)]] : [];

    return $of + [[], [], ['pace' => ['movements' => mt_rand(8, 50) / 10]], ['pace' => ['minutes' => mt_rand(3, 12)]]][mt_rand(0, 3)];
}

/** @return array<string, mixed> a term file: weekly or twice a week, with breaks, one course or two that share or take turns */
function someTerm(int $count): array
{
    $from = '2026-09-01'; // a Tuesday
    $days = 7 * mt_rand(5, 16);
    $term = ['from' => $from, 'to' => Day::text(Day::number($from) + $days), 'timezone' => 'UTC', 'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => [30, 45, 60, 75, 90][mt_rand(0, 4)]]]];
    if (mt_rand(0, 4) === 0) {
        $term['pattern'][] = ['weekday' => 'Fri', 'at' => '10:00', 'minutes' => [30, 60, 90][mt_rand(0, 2)]];
    }
    if (mt_rand(0, 1) === 0) {
        $closed = Day::number($from) + 7 * mt_rand(1, intdiv($days, 7)) - 3;
        $term['closures'] = [['from' => Day::text($closed), 'to' => Day::text($closed + [6, 13, 20][mt_rand(0, 2)])]];
    }
    $term += ['seed' => 'plan'.mt_rand(0, 99999), 'attendance' => mt_rand(50, 100) / 100, 'reserve' => mt_rand(0, 3), 'look_back' => mt_rand(0, 3) !== 0];
    $term += [[], [], ['spread' => true], ['spread' => false]][mt_rand(0, 3)] + (mt_rand(0, 4) === 0 ? ['rhythm' => mt_rand(0, 3)] : []) + (mt_rand(0, 5) === 0 ? ['lesson_target' => mt_rand(10, 50) / 10] : []);
    if (mt_rand(0, 4) === 0) {
        $term['order'] = [['kind' => 'warm_up', 'share' => 20], ['kind' => 'run_through'], ['kind' => 'settle', 'minutes' => mt_rand(0, 9)], ['kind' => 'new'], ['kind' => 'review'], ['kind' => 'close']];
        $term['order'][4] += mt_rand(0, 1) === 0 ? ['share' => mt_rand(20, 70)] : [];
    }
    if (mt_rand(0, 3) !== 0) {
        return [...$term, ...someCourse($count, $from, $days)];
    }
    $courses = [someCourse($count, $from, $days), someCourse($count, $from, $days)];
    $share = mt_rand(2, 8) / 10;

    return mt_rand(0, 1) === 0
        ? [...$term, 'courses' => $courses, 'turns' => [[0, 1], [0, 0, 1], [1, 0]][mt_rand(0, 2)]]
        : [...$term, 'courses' => [[...$courses[0], 'share' => $share], [...$courses[1], 'share' => 1 - $share]]];
}

/**
 * What the second reading is asked: the term as it was said, with loads, joins and lessons, which have a reference of their own.
 *
 * @param  array<string, mixed>  $said
 * @return array<string, mixed>
 */
function askedOf(Form $form, array $said, PlanFile $file, int $students): array
{
    $time = new RunTime($form);
    $request = $file->request(new LessonCutter, $students);
    $kept = fn (array $of): ?array => isset($of['keep']) ? array_values(array_unique(array_merge(...array_map(fn (array $one): array => range(...$one), $of['keep'])))) : null;
    $courses = [];
    foreach ($said['courses'] ?? [$said] as $n => $of) {
        $outset = $request->courses[$n];
        $keep = $kept($of);
        $keep === null || sort($keep);
        $courses[] = [
            'approach' => $of['approach'] ?? 'piece', 'target' => $of['target'] ?? [1, $form->count()], 'kept' => $keep, 'known' => $outset->taught,
            'pace' => $of['pace'] ?? null, 'share' => $of['share'] ?? 1, 'showing' => isset($of['showing']) ? ['day' => Day::number($of['showing']['on']), 'to' => $of['showing']['to']] : null,
            'rhythm' => $said['rhythm'] ?? null, 'spread' => $said['spread'] ?? null, 'reserve' => $said['reserve'], 'lookBack' => $said['look_back'], 'asked' => $said['lesson_target'] ?? null,
            'loads' => array_map(fn ($one): float => $one->load, $outset->cut->loads), 'rests' => array_map(fn ($one): float => $one->rest, $outset->cut->joins),
            'lessons' => array_map(fn ($one): array => ['number' => $one->number, 'from' => $one->from, 'to' => $one->to], $outset->cut->lessons),
        ];
    }

    return [
        'seed' => $said['seed'], 'attendance' => $said['attendance'], 'students' => $students, 'order' => $said['order'] ?? null, 'turns' => $said['turns'] ?? [], 'courses' => $courses,
        'meetings' => array_map(fn (TermMeeting $one): array => ['day' => Day::number($one->on), 'key' => $one->key ?? $one->on, 'minutes' => $one->minutes], $request->meetings),
        'entries' => array_map(fn (int $at): array => ['kind' => $form->at($at)->kind->value, 'seconds' => $time->secondsOf($at), 'section' => $form->sectionOf($at)?->first], range(1, $form->count())),
    ];
}

/**
 * Where two plans of one term differ, evening by evening.
 *
 * @param  array<string, mixed>  $plan  as `gorvan:plan` prints it
 * @param  array<string, mixed>  $other  the second reading
 * @return list<string>
 */
function differencesOf(array $plan, array $other): array
{
    $found = [];
    $same = function (string $where, mixed $is, mixed $second) use (&$found): void {
        $plain = fn (mixed $of): mixed => is_array($of) ? array_map(fn (mixed $one): mixed => is_float($one) || is_int($one) ? round((float) $one, 6) : (is_array($one) ? array_map(fn (mixed $own): mixed => is_float($own) || is_int($own) ? round((float) $own, 6) : $own, $one) : $one), $of) : (is_float($of) || is_int($of) ? round((float) $of, 6) : $of);
        if (json_encode($plain($is)) !== json_encode($plain($second))) {
            $found[] = "$where: ".json_encode($plain($is)).' and not '.json_encode($plain($second));
        }
    };
    foreach ($plan['meetings'] as $at => $meeting) {
        $second = $other['meetings'][$at];
        $where = "{$meeting['on']} ";
        $many = count($second['parts']) > 1;
        $boxes = array_column($meeting['boxes'], 'minutes', 'kind');
        ksort($boxes);
        ksort($second['boxes']);
        $same("$where kind", $meeting['kind'], $second['kind']);
        $same("$where boxes", $boxes, $second['boxes']);
        foreach ($second['parts'] as $n => $part) {
            $own = fn (string $key): array => array_values(array_map(fn (array $one): array => array_diff_key($one, ['course' => 0]), array_filter($meeting[$key] ?? [], fn (array $one): bool => ! $many || $one['course'] === $n)));
            $runs = $many ? $own('run_through')[0] ?? null : $meeting['run_through'];
            $shown = array_merge([], ...array_map(fn (array $one): array => range($one['from'], $one['to']), $own('shown')));
            $same("$where lessons of $n", $own('lessons'), $part['lessons']);
            $same("$where review of $n", $own('review'), $part['review']);
            $same("$where run-through of $n", $runs, $part['run_through']);
            $same("$where shown of $n", array_values(array_intersect($shown, $part['shown'])), $part['shown']);
            $same("$where forecast of $n", $many ? $own('forecast')[0] : $meeting['forecast'], $part['forecast']);
        }
        if ($found !== []) {
            return $found; // what comes after differs for it
        }
    }
    $end = $other['ends'][0];
    $same('the end', [$plan['reach'], $plan['holds'], $plan['expected'], $plan['through_on']], [$end['reach'], $end['holds'], $end['expected'], $end['throughOn'] === null ? null : Day::text($end['throughOn'])]);
    $plan['pace'] === null || $same('pace', $plan['pace']['minutes'], $end['pace']);

    return $found;
}

test('200 random terms planned a second time, by another reading of the design, differ in nothing (source: engine 4 and 6 to 9, and ts-fsrs)', function () {
    mt_srand(28);
    $folder = storage_path('framework/testing/plans');
    is_dir($folder) || mkdir($folder, 0o777, true);
    $asked = $plans = $texts = [];
    for ($at = 0; $at < 200; $at++) {
        $form = someForm();
        $said = someTerm($form->count());
        $students = mt_rand(1, 5);
        file_put_contents("$folder/form.json", (new FormFileWriter)->write($form));
        file_put_contents("$folder/term.json", json_encode($said, JSON_THROW_ON_ERROR));
        $exit = Artisan::call('gorvan:plan', ['file' => "$folder/form.json", 'term' => "$folder/term.json", '--students' => (string) $students, '--json' => true]);
        $out = Artisan::output();
        expect($exit)->toBe(0, $out);
        $plans[] = json_decode($out, true, 64, JSON_THROW_ON_ERROR);
        $read = (new FormFileReader)->read((string) file_get_contents("$folder/form.json"))->form;
        $asked[] = askedOf($read, $said, PlanFile::read(json_encode($said), $read, Approach::PieceByPiece), $students);
        $texts[] = json_encode($said);
    }
    $differ = [];
    foreach (Reference::ask('plan.mjs', $asked) as $at => $second) {
        $own = differencesOf($plans[$at], $second);
        $own === [] || $differ[] = "$at of {$asked[$at]['students']}: ".implode("\n   ", $own)."\n   {$texts[$at]}";
    }
    $evenings = array_sum(array_map(fn (array $plan): int => count($plan['meetings']), $plans));
    fwrite(STDERR, "\n  planned twice: 200 terms, $evenings evenings, ".count($differ)." terms differ\n");
    expect(implode("\n", array_slice($differ, 0, 12)))->toBe('');
});
