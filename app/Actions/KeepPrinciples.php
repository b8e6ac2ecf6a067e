<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Principle;
use App\Models\PrincipleSet;
use App\Models\Viewer;
use Gorvan\Core\Principle\PrincipleSet as CoreSet;
use Gorvan\Core\Reading\Message;

/** Writes a set into its row, each principle into the row it always had, and keeps the state as a version. */
final class KeepPrinciples
{
    public const MOST_VERSIONS = 400;

    /** @param  list<Message>  $what  what changed */
    public function __invoke(PrincipleSet $row, CoreSet $set, array $what, ?Viewer $by, ?string $sent = null): void
    {
        $there = Principle::where('set_id', $row->id)->get()->keyBy('key');
        foreach ($set->principles as $at => $one) {
            $is = ['title' => $one->title, 'ordinal' => $at + 1];
            $there->has($one->id) ? $there[$one->id]?->update($is) : Principle::create(['set_id' => $row->id, 'key' => $one->id, ...$is]);
        }
        Principle::where('set_id', $row->id)->whereNotIn('key', $set->ids())->update(['ordinal' => null]);
        $row->update(['title' => $set->title, 'document' => $set->json(), 'version' => $row->version + 1]);
        $row->unsetRelations();
        $row->versions()->create(['number' => $row->version, 'made_by' => $by?->authorId(), 'made_at' => now(), 'what' => KeepForm::told($what), 'document' => $set->json(), 'sent' => $sent]);
        $row->versions()->where('number', '<=', $row->version - self::MOST_VERSIONS)->delete();
    }
}
