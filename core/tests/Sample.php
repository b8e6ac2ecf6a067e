<?php

declare(strict_types=1);

namespace Gorvan\Core\Tests;

use Gorvan\Core\Form\Edit\FormEditReader;
use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\JsonNode;

/** Invented forms for the tests, written as the form file has them. */
final class Sample
{
    /**
     * @param  list<array<string, mixed>>  $entries  ids a, b, c … and titles A, B, C … where they say none
     * @param  array<string, mixed>  $root
     */
    public static function form(array $entries, array $root = []): Form
    {
        $whole = array_map(static fn (int $at, array $entry): array => [
            'id' => chr(97 + $at), 'kind' => 'movement', 'title' => chr(65 + $at), ...$entry,
        ], array_keys($entries), $entries);

        return (new FormFileReader)->read(json_encode(['format' => 'gorvan.form/1', 'title' => 'T', ...$root, 'entries' => $whole], JSON_THROW_ON_ERROR))->form;
    }

    /** A form with one of everything an entry can say. */
    public static function whole(): Form
    {
        return self::form([
            ['title' => 'Opening', 'kind' => 'opening', 'side' => 'centre', 'weight_end' => 50, 'breaths' => 1],
            [
                'number' => 1, 'booklet' => ['number' => '1a', 'page' => 4], 'numbers' => [['scheme' => 'Short count', 'number' => '1']],
                'aliases' => [['text' => '转身', 'lang' => 'zh-Hans'], ['text' => 'The turner']],
                'side' => 'left', 'start_side' => 'left', 'repetition' => '6, the 4th ends differently', 'repetition_inferred' => true,
                'differs' => [['nth' => 4, 'of' => 'repetitions', 'how' => 'toes out']], 'breaths' => 2.5, 'first_step' => 'left', 'steps' => 2,
                'footfall' => 'toe', 'weight_end' => [5, 10], 'turn' => -90, 'travel' => [1, -0.5], 'stance' => 'empty, "light"', 'one_leg' => false,
                'demand' => 2, 'rest' => 0.4, 'cut' => 'never', 'same_in' => [['form' => 'Another set', 'entry' => 'k3']],
                'phases' => [
                    ['title' => 'Gather', 'breath' => 'in', 'weight' => 80, 'gaze' => 'over the {L} hand', 'hand' => 'palm', 'cue' => 'draw the {L} elbow in', 'states' => [['part' => 'chest', 'state' => 'closed', 'principle' => 'open and close']]],
                    ['title' => 'Release', 'breath' => 'out', 'weight' => [0, 10]],
                ],
                'states' => [['part' => 'hips', 'state' => 'open']],
                'variants' => [['title' => 'Low', 'reason' => 'level', 'depth' => 'low', 'shown_only' => true, 'text' => 'Thigh level.', 'cautions' => [['for' => 'knee', 'do' => 'smaller']]]],
                'strains' => ['deep_bend'], 'joints' => ['wrist', 'neck'], 'cautions' => [['for' => 'dizziness', 'do' => 'support', 'text' => 'A wall on the {R}.']],
                'checks' => ['the {L} heel comes down first'], 'errors' => [['wrong' => 'leaning', 'right' => 'upright']], 'drills' => ['Step and empty'],
                'cues' => ["turn from the waist to the {L}\u{2013}slowly"],
            ],
            ['number' => 2, 'title' => 'B, other side', 'side' => 'right', 'mirrors' => 'b', 'first_step' => 'right', 'turn' => 90, 'cues' => ['=turn {R}', '-3']],
            ['title' => 'B again', 'returns' => 'b', 'one_sided' => true, 'repetition' => 'L-R-L', 'side' => 'both'],
            ['title' => 'Closing', 'kind' => 'closing'],
        ], [
            'about' => 'Invented.', 'family' => 'Heron', 'announced' => 3, 'breath_seconds' => 5, 'showing_pace' => 0.9, 'footfall' => 'heel',
            'schemes' => [['name' => 'Short count', 'announced' => 2]],
            'sections' => [['title' => 'One', 'first' => 2, 'last' => 3]],
            'accepted' => [['code' => 'sides', 'entry' => 'b', 'reason' => 'one-sided by tradition', 'grounds' => '0123456789abcdef']],
        ]);
    }

    /** @param  list<array<string, mixed>>  $edits  as an editor sends them */
    public static function edited(Form $form, array $edits): Form
    {
        $read = (new FormEditReader)->read(JsonNode::parse(json_encode($edits, JSON_THROW_ON_ERROR)));

        return array_reduce($read, static fn (Form $so_far, $edit): Form => $edit->apply($so_far), $form);
    }

    /** @return list<string> */
    public static function ids(Form $form): array
    {
        return array_map(static fn ($entry): string => $entry->id, $form->entries);
    }
}
