<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Track;
use Gorvan\Core\Memory\Tracks;

/** A movement that holds today, and the first day on which it will not any more if nothing is done. Pure. */
final readonly class Fading
{
    private function __construct(public int $position, public int $day, public float $recall)
    {
    }

    /**
     * @param  array<string, Tracks>  $tracks  by entry
     * @return list<self> the soonest first
     */
    public static function of(Form $form, array $tracks, StudentStanding $standing, MemoryModel $model = new MemoryModel): array
    {
        $fading = [];
        foreach ($standing->holding() as $position) {
            $entry = $form->at($position);
            $days = $entry->kind === EntryKind::Movement ? self::days($tracks[$entry->id] ?? Tracks::none(), $model) : [];
            if ($days !== []) {
                $fading[] = new self($position, min($days), $standing->at($position)->whole->recall ?? 0.0);
            }
        }
        usort($fading, static fn (self $a, self $b): int => [$a->day, $a->position] <=> [$b->day, $b->position]);

        return $fading;
    }

    /** @return list<int> of each side, or of the whole */
    private static function days(Tracks $tracks, MemoryModel $model): array
    {
        $days = [];
        foreach ($tracks->areApart() ? [$tracks->left, $tracks->right] : [$tracks->whole] as $track) {
            if ($track instanceof Track && $track->state !== null && $track->last !== null) {
                $days[] = $track->last + $model->daysUntil(TrackStanding::HOLD_RECALL, $track->state->stability);
            }
        }

        return $days;
    }
}
