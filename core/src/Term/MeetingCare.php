<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Care\CareRule;
use Gorvan\Core\Care\Spared;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Straining;

/** Who needs what in which box of a meeting (engine 12). */
final readonly class MeetingCare
{
    public function __construct(private Straining $straining = new Straining)
    {
    }

    /**
     * @param  array<string, Form>  $forms  by course
     * @param  array<string, Spared>  $spared  by student
     * @return list<StudentCare> of those who are to be spared anything, in the order given
     */
    public function of(MeetingPlan $plan, array $forms, WarmUpList $warmUps, array $spared): array
    {
        $spared = array_filter($spared, static fn (Spared $one): bool => ! $one->isNothing());
        $parts = $spared === [] ? [] : [...$this->warmUps($plan, $warmUps), ...$this->entries($plan, $forms)];
        $all = [];
        foreach ($spared as $student => $one) {
            $needs = [];
            foreach ($parts as [$box, $course, $id, $cautions, $strains, $variants]) {
                $advice = CareRule::of($one, $cautions, $strains, $variants);
                if ($advice !== []) {
                    $needs[] = new CareNeed($box, $course, $id, $advice);
                }
            }
            $all[] = new StudentCare((string) $student, $one, $needs);
        }

        return $all;
    }

    /** @return list<array{Box, null, string, list<\Gorvan\Core\Care\Caution>, list<\Gorvan\Core\Care\Strain>, array<string, list<\Gorvan\Core\Care\Caution>>}> */
    private function warmUps(MeetingPlan $plan, WarmUpList $list): array
    {
        $parts = [];
        foreach ($list->named($plan->warmUp) as $one) {
            $parts[] = [Box::WarmUp, null, $one->id, $one->cautions, [], []];
        }

        return $parts;
    }

    /**
     * @param  array<string, Form>  $forms
     * @return list<array{Box, string, string, list<\Gorvan\Core\Care\Caution>, list<\Gorvan\Core\Care\Strain>, array<string, list<\Gorvan\Core\Care\Caution>>}>
     */
    private function entries(MeetingPlan $plan, array $forms): array
    {
        $parts = [];
        foreach ([Box::Review, Box::New, Box::RunThrough] as $box) {
            foreach ($plan->courses as $course) {
                $form = $forms[$course->course] ?? null;
                if ($form === null) {
                    continue;
                }
                foreach ($form->positionsOf($course->inBox($box)) as $position) {
                    $entry = $form->at($position);
                    $parts[] = [$box, $course->course, $entry->id, $entry->cautions, $this->straining->of($entry), self::variants($entry)];
                }
            }
        }

        return $parts;
    }

    /** @return array<string, list<\Gorvan\Core\Care\Caution>> by title */
    private static function variants(Entry $entry): array
    {
        $variants = [];
        foreach ($entry->variants as $variant) {
            $variants[$variant->title] = [...$variants[$variant->title] ?? [], ...$variant->cautions];
        }

        return $variants;
    }
}
