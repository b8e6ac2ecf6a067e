<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Content;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Cue\CueFading;
use Gorvan\Core\Cue\CueView;
use Gorvan\Core\Cue\EntryCues;
use Gorvan\Core\Form\CommonError;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Straining;
use Gorvan\Core\Form\Variant;
use Gorvan\Core\Lesson\RecapFinder;
use Gorvan\Core\Lesson\RestModel;

/**
 * All that a lesson holds (engine 17): what the form says of its entries, and what a teacher added. Positions are the form's
 * as it is; entries that are gone from the form are named. Immutable.
 */
final readonly class LessonContent
{
    /**
     * @param  list<int>  $entries  positions of the new entries
     * @param  list<string>  $gone  ids of entries that are not in the form any more
     * @param  list<BiteDifference>  $differences
     * @param  list<int>  $knownBefore  positions of what must be known
     * @param  list<Drill>  $drills  in an order in which they can be done
     * @param  list<LessonStep>  $steps
     * @param  list<CueView>  $views
     */
    private function __construct(
        public Form $form,
        public WrittenLesson $written,
        public array $entries,
        public array $gone,
        public ?Passage $recap,
        public ?Passage $runThrough,
        public array $differences,
        public array $knownBefore,
        public array $drills,
        public array $steps,
        public array $views,
    ) {
    }

    /** @throws \Gorvan\Core\Reading\BadInput where its drills go round in a circle */
    public static function of(Form $form, WrittenLesson $written): self
    {
        $entries = $form->positionsOf($written->entries);
        $ids = array_map(static fn (int $at): string => $form->at($at)->id, $entries);
        $recap = $entries === [] ? null : (new RecapFinder($form, (new RestModel)->of($form)))->before($entries[0]);
        $leadUps = LeadUps::of($written->drills);

        return new self(
            $form,
            $written,
            $entries,
            array_values(array_filter($written->entries, static fn (string $id): bool => $form->positionOf($id) === null)),
            $recap,
            self::runThroughOf($form, $written, $entries),
            array_values(array_filter(array_map(static fn (int $at): ?BiteDifference => BiteDifference::of($form, $at), $entries))),
            $leadUps->knownBefore($ids, $form),
            $leadUps->to($ids)->drills,
            $written->steps ?? $written->kind->usualSteps(),
            $written->views !== [] ? $written->views : [CueView::FacingClass, CueView::FromBehind],
        );
    }

    /** @return list<Entry> */
    public function newEntries(): array
    {
        return array_map($this->form->at(...), $this->entries);
    }

    /**
     * What must be seen before the class moves on: checks of the entries by position, those of the teacher at 0.
     *
     * @return array<int, list<string>>
     */
    public function checks(): array
    {
        return $this->each(static fn (Entry $entry): array => $entry->checks, $this->written->checks);
    }

    /** @return array<int, list<CommonError>> by position, those of the teacher at 0 */
    public function errors(): array
    {
        return $this->each(static fn (Entry $entry): array => $entry->errors, $this->written->errors);
    }

    /** @return array<int, list<Caution>> by position, those of the teacher at 0 */
    public function cautions(): array
    {
        return $this->each(static fn (Entry $entry): array => $entry->cautions, $this->written->cautions);
    }

    /** @return array<int, list<Variant>> by position, those of the teacher at 0 */
    public function variants(): array
    {
        return $this->each(static fn (Entry $entry): array => $entry->variants, $this->written->variants);
    }

    /**
     * Lead-ups that the entries name themselves.
     *
     * @return array<int, list<string>> by position
     */
    public function ownDrills(): array
    {
        return $this->each(static fn (Entry $entry): array => $entry->drills, []);
    }

    /** @return array<int, list<\Gorvan\Core\Care\Strain>> what strains a body, by position */
    public function strains(): array
    {
        return $this->each((new Straining)->of(...), []);
    }

    /**
     * What is left of the cues in a step, with `{L}` and `{R}` in them.
     *
     * @return array<int, list<string>> by position
     */
    public function cues(CueFading $fading): array
    {
        return $this->each(fn (Entry $entry): array => $fading->of(EntryCues::of($this->form, (int) $this->form->positionOf($entry->id))), []);
    }

    /**
     * @template T
     *
     * @param  callable(Entry): list<T>  $of
     * @param  list<T>  $own
     * @return array<int, list<T>>
     */
    private function each(callable $of, array $own): array
    {
        $all = $own === [] ? [] : [0 => $own];
        foreach ($this->entries as $at) {
            $all[$at] = $of($this->form->at($at));
        }

        return array_filter($all, static fn (array $some): bool => $some !== []);
    }

    /**
     * From where the teacher says, else from the start of the section in which its first entry stands.
     *
     * @param  list<int>  $entries
     */
    private static function runThroughOf(Form $form, WrittenLesson $written, array $entries): ?Passage
    {
        if ($entries === []) {
            return null;
        }
        $from = ($written->runFrom === null ? null : $form->positionOf($written->runFrom)) ?? $form->sectionOf($entries[0])->first ?? 1;
        $to = $entries[count($entries) - 1];

        return new Passage(min($from, $to), $to);
    }
}
