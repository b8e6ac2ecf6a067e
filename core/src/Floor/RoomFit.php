<?php

declare(strict_types=1);

namespace Gorvan\Core\Floor;

use Gorvan\Core\Form\Track\Bounds;
use Gorvan\Core\Form\Track\FloorTrack;
use Gorvan\Core\Form\Track\Footing;

/**
 * How a form fits a room: the best facing, ranks and starting place, and where the room runs out.
 *
 * All students do the same, so the class moves as one block: each in the middle of a clear square of one arm span.
 */
final readonly class RoomFit
{
    /**
     * @param  int  $facing  0, 90, 180 or 270: which wall the class faces at the start, clockwise from the front
     * @param  int  $ranks  rows one behind the other
     * @param  int  $files  students in a rank, at most
     * @param  array{float, float}  $start  metres from the left wall and from the back wall: the middle of the class
     * @param  array{float, float}  $needs  metres of width and depth the whole form would take in this facing
     * @param  list<int>  $out  positions of entries that end outside the walls
     */
    private function __construct(
        public int $facing,
        public int $ranks,
        public int $files,
        public array $start,
        public array $needs,
        public array $out,
    ) {
    }

    public function fits(): bool
    {
        return $this->out === [];
    }

    /** The first entry for which there is no room, or null. */
    public function runsOutAt(): ?int
    {
        return $this->out[0] ?? null;
    }

    /**
     * Where the middle of the class is: at the start, and where each entry ends.
     *
     * @return list<Footing> metres from the left wall and from the back wall, facing degrees clockwise from the front
     */
    public function spots(FloorTrack $track, Room $room): array
    {
        return array_map(function (Footing $footing) use ($room): Footing {
            $turned = self::turned($footing, intdiv($this->facing, 90), $room->step);

            return new Footing($this->start[0] + $turned->x, $this->start[1] + $turned->y, $turned->facing);
        }, $track->footings);
    }

    /**
     * Where each student stands at the start, the front rank first.
     *
     * @return list<Footing> metres from the left wall and from the back wall
     */
    public function stands(Room $room): array
    {
        $stands = [];
        for ($student = 0; $student < $room->students; $student++) {
            [$rank, $file] = [intdiv($student, $this->files), $student % $this->files];
            $right = ($file - ($this->files - 1) / 2) * $room->armSpan;
            $forward = (($this->ranks - 1) / 2 - $rank) * $room->armSpan;
            $stands[] = self::turned(new Footing($right, $forward, 0.0), intdiv($this->facing, 90), 1.0);
        }

        return array_map(fn (Footing $stand): Footing => new Footing($this->start[0] + $stand->x, $this->start[1] + $stand->y, $stand->facing), $stands);
    }

    /** @return array{float, float} metres of width and depth that the class takes up, standing */
    public function block(Room $room): array
    {
        return self::across($this->facing % 180 !== 0, $this->ranks, $this->files, $room->armSpan);
    }

    /** @return array{float, float} */
    private static function across(bool $isSideways, int $ranks, int $files, float $armSpan): array
    {
        return $isSideways ? [$ranks * $armSpan, $files * $armSpan] : [$files * $armSpan, $ranks * $armSpan];
    }

    /**
     * The facing and ranks in which the form gets furthest before the room runs out, then the one that leaves most
     * room; equal ones in order of facing and of fewer ranks.
     */
    public static function best(FloorTrack $track, Room $room): self
    {
        $best = null;
        $bestScore = [-1, 0.0];
        foreach ([0, 1, 2, 3] as $quarters) {
            for ($ranks = 1; $ranks <= $room->students; $ranks++) {
                $files = intdiv($room->students + $ranks - 1, $ranks);
                if (intdiv($room->students + $files - 1, $files) !== $ranks) {
                    continue; // the same files with a rank left empty
                }
                [$fit, $score] = self::tried($track, $room, $quarters, $ranks, $files);
                if ($best === null || $score[0] > $bestScore[0] || ($score[0] === $bestScore[0] && $score[1] > $bestScore[1] + 1e-9)) {
                    [$best, $bestScore] = [$fit, $score];
                }
            }
        }

        return $best ?? throw new \LogicException('a class has at least one rank');
    }

    /** How many students the whole form fits, at most as many as there are: 0 where not even one. */
    public static function most(FloorTrack $track, Room $room): int
    {
        $most = 0;
        foreach ([0, 1] as $quarters) { // facing the other way takes the same room
            $whole = Bounds::round(array_map(static fn (Footing $footing): Footing => self::turned($footing, $quarters, $room->step), $track->footings));
            $free = [$room->width - $whole->width(), $room->depth - $whole->depth()];
            $most = max($most, max(0, (int) floor(($free[0] + 1e-9) / $room->armSpan)) * max(0, (int) floor(($free[1] + 1e-9) / $room->armSpan)));
        }

        return min($most, $room->students);
    }

    /** @return array{self, array{int, float}} and how many entries fit, and the least slack in metres */
    private static function tried(FloorTrack $track, Room $room, int $quarters, int $ranks, int $files): array
    {
        $block = self::across($quarters % 2 !== 0, $ranks, $files, $room->armSpan);
        // What is left for walking once the block of students stands in the room.
        $free = [$room->width - $block[0], $room->depth - $block[1]];
        $turned = array_map(static fn (Footing $footing): Footing => self::turned($footing, $quarters, $room->step), $track->footings);
        $bounds = Bounds::round([$turned[0]]);
        $reaches = -1; // how many entries fit one after the other from the start
        foreach ($turned as $at => $footing) {
            $wider = $bounds->with($footing);
            if ($wider->width() > $free[0] + 1e-9 || $wider->depth() > $free[1] + 1e-9) {
                break;
            }
            [$bounds, $reaches] = [$wider, $at];
        }
        $whole = Bounds::round($turned);
        $start = [
            self::place($bounds->left, $bounds->right, $room->width),
            self::place($bounds->back, $bounds->front, $room->depth),
        ];
        $out = [];
        for ($at = 1; $at < count($turned); $at++) {
            $beyond = abs($start[0] + $turned[$at]->x - $room->width / 2) > max(0.0, $free[0]) / 2 + 1e-9
                || abs($start[1] + $turned[$at]->y - $room->depth / 2) > max(0.0, $free[1]) / 2 + 1e-9
                || min($free) < -1e-9;
            if ($beyond) {
                $out[] = $at;
            }
        }
        $needs = [$whole->width() + $block[0], $whole->depth() + $block[1]];
        $slack = min($room->width - $needs[0], $room->depth - $needs[1]);

        return [new self($quarters * 90, $ranks, $files, $start, $needs, $out), [$reaches, $slack]];
    }

    /** The start from which a stretch of path lies in the middle of the room. */
    private static function place(float $least, float $most, float $room): float
    {
        return $room / 2 - ($least + $most) / 2;
    }

    private static function turned(Footing $footing, int $quarters, float $step): Footing
    {
        [$x, $y] = match ($quarters) {
            0 => [$footing->x, $footing->y],
            1 => [$footing->y, -$footing->x],
            2 => [-$footing->x, -$footing->y],
            default => [-$footing->y, $footing->x],
        };

        return new Footing($x * $step, $y * $step, $footing->facing + 90.0 * $quarters);
    }
}
