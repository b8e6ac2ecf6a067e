<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\FindClasses;
use App\Actions\ReplanGroup;
use App\Classes\Requests\BookQuery;
use App\Http\Data\BookData;
use App\Http\Data\BookDoing;
use App\Http\Data\BookRow;
use App\Http\Data\BookStretch;
use App\Http\Data\GroupSummary;
use App\Models\Form;
use App\Models\Group;
use App\Models\LoggedClass;
use App\Models\PlacedForm;
use App\Models\Principle;
use App\Shared\Description\Operation;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Record\Doing;
use Gorvan\Core\Record\Guest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The class book of a group, and what its lessons have taught of its pace. */
final class BookController extends Controller
{
    /** @var array<string, PlacedForm|null> */
    private array $placed = [];

    #[Operation('book', 'What the classes of a group did hold', BookData::class)]
    public function show(BookQuery $asked, Group $group, FindClasses $find): JsonResponse
    {
        $logs = $find($group, trim($asked->find ?? ''), $asked->before === null ? null : strtoupper($asked->before));
        $page = $logs->take(FindClasses::PAGE);

        return new JsonResponse(new BookData(
            GroupSummary::of(GroupSummary::counted()->whereKey($group->id)->firstOrFail()),
            array_values($page->map($this->row(...))->all()),
            $logs->count() > FindClasses::PAGE ? $page->last()?->id : null,
        ));
    }

    #[Operation('resetPace', 'As usual again', status: 204)]
    public function resetPace(Group $group, ReplanGroup $replan): Response
    {
        $group->update(['pace_since' => now()]);
        $replan->asked($group->id, 'cause.pace');

        return response()->noContent();
    }

    private function row(LoggedClass $logged): BookRow
    {
        $log = $logged->log();

        return new BookRow(
            $logged->id,
            (string) $logged->meeting_id,
            $log->on,
            $log->madeAt->format(DATE_ATOM),
            $log->minutes,
            count($log->there()),
            array_map($this->doing(...), $log->did),
            array_map(static fn (Guest $guest): string => $guest->name, $log->guests),
            $this->firstNext($log->firstNext, $log->did),
            $log->note,
            $log->replaces !== null,
        );
    }

    private function doing(Doing $doing): BookDoing
    {
        $form = $this->form($doing->form);
        // A join that was improvised reaches from one entry to another; what was gone through may lie apart.
        $passages = match (true) {
            $form === null => [],
            $doing->entries !== [] => $form->passagesOf($doing->entries),
            default => array_filter([$form->passageOf(array_filter([$doing->at, $doing->from, $doing->to]))]),
        };

        return new BookDoing(
            $doing->what,
            $form?->title,
            $form === null ? [] : array_map(static fn (Passage $one): BookStretch => new BookStretch(self::called($form, $one->from), $one->from === $one->to ? null : self::called($form, $one->to)), array_values($passages)),
            $doing->order,
            $doing->minutes,
            $doing->box,
            $doing->note,
            $doing->principles === [] ? [] : array_values(Principle::whereIn('id', $doing->principles)->pluck('title')->all()),
        );
    }

    /**
     * @param  list<string>  $entries
     * @param  list<Doing>  $did
     * @return list<string>
     */
    private function firstNext(array $entries, array $did): array
    {
        $called = [];
        foreach ($entries as $entry) {
            foreach ($did as $doing) {
                $form = in_array($entry, $doing->entries, true) ? $this->form($doing->form) : null;
                $position = $form?->positionOf($entry);
                if ($form !== null && $position !== null) {
                    $called[$entry] = self::called($form, $position);
                }
            }
            $called[$entry] ??= $this->elsewhere($entry, $did);
        }

        return array_values(array_filter($called, static fn (string $one): bool => $one !== ''));
    }

    /** @param  list<Doing>  $did */
    private function elsewhere(string $entry, array $did): string
    {
        foreach ($did as $doing) {
            $form = $this->form($doing->form);
            $position = $form?->positionOf($entry);
            if ($form !== null && $position !== null) {
                return self::called($form, $position);
            }
        }

        return '';
    }

    private static function called(CoreForm $form, int $position): string
    {
        $entry = $form->at($position);

        return $entry->number === null ? $entry->title : "$entry->number $entry->title";
    }

    private function form(?string $id): ?CoreForm
    {
        if ($id === null) {
            return null;
        }
        if (! array_key_exists($id, $this->placed)) {
            $this->placed[$id] = Form::find($id)?->placed();
        }

        return $this->placed[$id]?->form;
    }
}
