<?php

declare(strict_types=1);

use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\ExpectedStudent;
use Gorvan\Core\Term\Internal\SimulatedClass;
use Gorvan\Core\Term\KnownEntry;

/** A class of three: one knows entries 1 and 2, one knows entry 1 and is trusted little, one knows nothing. */
function three(): array
{
    $day = Day::number('2026-01-06');

    return [
        new ExpectedStudent('ann', 0.9, 1.0, [1 => new KnownEntry(new MemoryState(12.0, 5.0), $day - 4), 2 => new KnownEntry(new MemoryState(3.0, 7.0), $day - 9)]),
        new ExpectedStudent('bo', 0.6, 0.5, [1 => new KnownEntry(new MemoryState(2.0, 6.0), $day - 2)]),
        new ExpectedStudent('cy', 0.3),
    ];
}

/** The same memories one by one, nothing shared and nothing kept: what the class is compared with. */
final class PlainClass
{
    /** @var array<int, array<int, array{MemoryState, int}>> by position and memory */
    public array $known = [];

    /** @var list<ExpectedStudent> */
    public array $each = [];

    public function __construct(private readonly MemoryModel $model, array $students)
    {
        foreach ($students as $student) {
            for ($copy = 0; $copy < (int) ceil(64 / count($students)); $copy++) {
                foreach ($student->known as $position => $entry) {
                    $this->known[$position][count($this->each)] = [$entry->state, $entry->last];
                }
                $this->each[] = $student;
            }
        }
    }

    public function mean(int $position, int $day): float
    {
        return array_sum(array_map(fn (array $one) => $this->model->recall(max(0, $day - $one[1]), $one[0]->stability), $this->known[$position] ?? [])) / count($this->each);
    }

    public function contact(int $position, int $day, Evidence $evidence, array $present): void
    {
        foreach ($present as $at) {
            $one = $this->known[$position][$at] ?? null;
            if ($one === null || $one[1] < $day) {
                $this->known[$position][$at] = [$one === null ? $this->model->first($evidence) : $this->model->later($one[0], $day - $one[1], $evidence, $this->each[$at]->trust), $day];
            }
        }
    }

    /** @return array{float, float, float, array<string, float>} gain, with, without, and by student */
    public function gain(int $position, int $day, int $next, ?Evidence $other): array
    {
        $sum = $with = $without = $comes = 0.0;
        $by = [];
        foreach ($this->each as $at => $student) {
            $read = function (?Evidence $evidence) use ($position, $day, $next, $at, $student): float {
                $one = $this->known[$position][$at] ?? null;
                $state = match (true) {
                    $evidence === null || ($one !== null && $one[1] >= $day) => $one === null ? null : [$one[0], $one[1]],
                    $one === null => [$this->model->first($evidence), $day],
                    default => [$this->model->later($one[0], $day - $one[1], $evidence, $student->trust), $day],
                };

                return $state === null ? 0.0 : $this->model->recall($next - $state[1], $state[0]->stability);
            };
            [$one, $none] = [$read(Evidence::practised()), $read($other)];
            $sum += $student->comes * ($one - $none);
            $comes += $student->comes;
            $with += $one / count($this->each);
            $without += $none / count($this->each);
            $by[$student->id] = ($by[$student->id] ?? 0.0) + $one - $none;
        }

        return [$sum / $comes, $with, $without, $by];
    }
}

test('whatever is shared and kept, every memory is what it would be one by one, over a term of random evenings', function () {
    mt_srand(20_260_106);
    $class = new SimulatedClass('seed', three());
    $plain = new PlainClass(new MemoryModel, three());
    expect($class->count)->toBe(66)->and(count($plain->each))->toBe(66);
    $day = Day::number('2026-01-06');
    for ($evening = 0; $evening < 12; $evening++, $day = $next) {
        $next = $day + mt_rand(1, 9);
        $present = $class->present(Day::text($day));
        foreach ([1, 2, 3] as $position) {
            expect($class->meanRecall($position, $day))->toEqualWithDelta($plain->mean($position, $day), 1e-12);
            $other = mt_rand(0, 1) === 0 ? null : Evidence::ranThrough();
            [$gain, $with, $without, $by] = $plain->gain($position, $day, $next, $other);
            $own = $class->gain($position, $day, $next, $other);
            expect([$own->gain, $own->with, $own->without])->toEqualWithDelta([$gain, $with, $without], 1e-12)->and($own->byStudent)->toEqualWithDelta($by, 1e-10);
            // What was worked out for the next day is that of whoever did nothing, until something is done.
            expect($class->meanRecall($position, $next))->toEqualWithDelta($plain->mean($position, $next), 1e-12);
            foreach (match (mt_rand(0, 3)) {
                0 => [$class->practice()], 1 => [Evidence::taught()], 2 => [Evidence::taught(), $class->practice()], default => []
            } as $evidence) {
                $class->contact($position, $day, $evidence, $present);
                $plain->contact($position, $day, $evidence === $class->practice() ? Evidence::practised() : $evidence, $present);
            }
            expect($class->meanRecall($position, $next))->toEqualWithDelta($plain->mean($position, $next), 1e-12)
                ->and($class->meanRecall($position, $day))->toEqualWithDelta($plain->mean($position, $day), 1e-12);
        }
    }
    expect($class->updates)->toBeGreaterThan(100);
});

test('who comes is drawn by seed, student, date and copy, about as often as they come', function () {
    $class = new SimulatedClass('seed', three());
    expect($class->present('2026-01-06'))->toBe((new SimulatedClass('seed', three()))->present('2026-01-06'))->not->toBe($class->present('2026-01-13'))
        ->and((new SimulatedClass('other', three()))->present('2026-01-06'))->not->toBe($class->present('2026-01-06'));
    $came = [0, 0, 0];
    foreach (range(1, 28) as $date) {
        foreach ($class->present(sprintf('2026-02-%02d', $date)) as $at) {
            $came[intdiv($at, 22)]++;
        }
    }
    expect($came[0] / 616)->toEqualWithDelta(0.9, 0.05)->and($came[1] / 616)->toEqualWithDelta(0.6, 0.06)->and($came[2] / 616)->toEqualWithDelta(0.3, 0.06);
});
