<?php

declare(strict_types=1);

use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Lesson\Content\LessonsFile;
use Gorvan\Core\Principle\PrincipleFile;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Record\ClassLog;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Tests\Sample;
use Opis\JsonSchema\Validator;

function schemaAccepts(mixed $data, string $name = 'form'): bool
{
    $schema = json_decode((string) file_get_contents(base_path("docs/formats/$name.schema.json")));

    return (new Validator)->validate(json_decode(json_encode($data, JSON_THROW_ON_ERROR)), $schema)->isValid();
}

/** @return array<string, mixed> one changed member of an entry, of a section or of the root */
function changedForms(): array
{
    $values = [null, 'text', '', 'left', 'heel', 'none', 'movement', 'always', '3', 0, 1, -1, 0.3, 7, 100, 101, 4000, -90, 1e9, true, [], [1, 2], [60, 40], [1, 'x'], new stdClass, [['text' => 'a', 'lang' => 'zh']], [['lang' => 'zh']], (object) ['number' => '7a', 'page' => 3], (object) ['page' => 'x'],
        // What the lists of an entry hold, each right, wrong and lacking something.
        [['breath' => 'in', 'weight' => [5, 10], 'states' => [['part' => 'chest', 'state' => 'open']]]], [['breath' => 'up']], [['weight' => 101]], [['title' => 'P', 'states' => [['part' => 'chest']]]],
        [['title' => 'Low', 'reason' => 'level', 'depth' => 'low', 'shown_only' => true, 'cautions' => [['for' => 'knee', 'do' => 'smaller']]]], [['title' => 'Low', 'depth' => 'deep']], [['title' => 'Low', 'cautions' => [['for' => 'knee']]]],
        [['for' => 'knee', 'do' => 'smaller', 'text' => 'x']], [['for' => 'toe', 'do' => 'smaller']], [['wrong' => 'a', 'right' => 'b']], [['wrong' => 'a']], ['deep_bend'], ['hip', 'neck'], ['sigh'], ['line', 'line'],
        [['nth' => 4, 'of' => 'sides', 'how' => 'toes out']], [['nth' => 0]], [['scheme' => 'Short', 'number' => '1']], [['scheme' => 'Short', 'number' => 1]], [['form' => 'Other', 'entry' => 'k']], [['name' => 'Short', 'announced' => 8]],
        [['part' => 'hips', 'state' => 'open', 'principle' => 'p']], [['code' => 'sides', 'entry' => 'a', 'reason' => 'r', 'grounds' => 'abc']], [['code' => 'luck', 'reason' => 'r', 'grounds' => 'abc']], 'both', 0.8];
    $cases = [];
    foreach (['id', 'kind', 'number', 'booklet', 'title', 'aliases', 'side', 'start_side', 'one_sided', 'repetition', 'repetition_inferred', 'differs', 'numbers', 'same_in', 'phases', 'states', 'variants', 'strains', 'joints', 'cautions', 'checks', 'errors', 'drills', 'cues', 'breaths', 'first_step', 'steps', 'footfall', 'weight_end', 'turn', 'travel', 'stance', 'one_leg', 'returns', 'mirrors', 'demand', 'rest', 'cut', 'unknown'] as $key) {
        foreach ($values as $at => $value) {
            $cases["entry.$key.$at"] = (object) ['format' => 'gorvan.form/1', 'title' => 'T', 'entries' => [(object) ['id' => 'a', 'kind' => 'movement', 'title' => 'A', $key => $value]]];
        }
    }
    foreach (['format', 'title', 'about', 'family', 'announced', 'schemes', 'accepted', 'showing_pace', 'breath_seconds', 'footfall', 'sections', 'entries', 'unknown'] as $key) {
        foreach ($values as $at => $value) {
            $cases["root.$key.$at"] = (object) [...['format' => 'gorvan.form/1', 'title' => 'T', 'entries' => [(object) ['id' => 'a', 'kind' => 'movement', 'title' => 'A']]], $key => $value];
        }
    }

    return $cases;
}

test('the published schema and the reader accept and refuse the same files (source: opis/json-schema)', function () {
    $accepted = $refused = 0;
    foreach (changedForms() as $name => $form) {
        try {
            (new FormFileReader)->read(json_encode($form, JSON_THROW_ON_ERROR));
            $reads = true;
        } catch (BadInput $e) {
            $reads = false;
            $weightBackwards = $e->reason->code === 'contradiction.range'; // a schema cannot compare two values
        }
        if (! $reads && $weightBackwards) {
            continue;
        }
        $this->assertSame(schemaAccepts($form), $reads, "$name: ".json_encode($form));
        $reads ? $accepted++ : $refused++;
    }
    expect($accepted)->toBeGreaterThan(300)->and($refused)->toBeGreaterThan(1500);
});

test('what the writer writes is what the schema says', function (string $file) {
    $written = (new FormFileWriter)->write((new FormFileReader)->read((string) file_get_contents(base_path($file)))->form);
    expect(schemaAccepts(json_decode($written)))->toBeTrue();
})->with(['database/demo/marsh-lantern.json', 'docs/formats/examples/heron-gate.json', 'database/starters/sword-32.json', 'database/starters/combined-42.json', 'database/starters/eight-brocades.json']);

test('a form with one of everything is what the schema says, to the last key', function () {
    $written = json_decode((new FormFileWriter)->write(Sample::whole()));
    $schema = json_decode((string) file_get_contents(base_path('docs/formats/form.schema.json')));
    expect(schemaAccepts($written))->toBeTrue();
    $keys = array_keys(array_merge(...array_map(get_object_vars(...), $written->entries)));
    expect(array_values(array_diff($keys, array_keys(get_object_vars($schema->{'$defs'}->entry->properties)))))->toBe([])
        ->and(array_values(array_diff(array_keys(get_object_vars($schema->{'$defs'}->entry->properties)), $keys)))->toBe([]);
});

/**
 * A document with one member anywhere in it changed to another value, or left out.
 *
 * @return iterable<string, stdClass>
 */
function changedDocuments(stdClass $whole): iterable
{
    $values = [null, 'text', ' ', str_repeat('x', 121), str_repeat('x', 2001), 'left', 'taught', 'new', '2026-12-02', '2026-11-25T20:31:07+01:00', '2026-11-25T20:31:07', 0, 1, -1, 0.5, 99, 100, 1440, 1441, true, [], ['a'], [1], new stdClass, (object) ['s1' => 5], (object) ['s1' => 'x'], (object) ['code' => 'x'], [new stdClass]];
    $places = function (mixed $node, array $path) use (&$places): iterable {
        if ($path !== []) {
            yield $path;
        }
        foreach (is_object($node) ? get_object_vars($node) : (is_array($node) ? array_slice($node, 0, 2) : []) as $key => $child) {
            yield from $places($child, [...$path, $key]);
        }
    };
    foreach (iterator_to_array($places($whole, []), false) as $path) {
        foreach ([...$values, 'gone'] as $at => $value) {
            $copy = json_decode(json_encode($whole, JSON_THROW_ON_ERROR));
            $parent = &$copy;
            foreach (array_slice($path, 0, -1) as $key) {
                is_array($parent) ? $parent = &$parent[$key] : $parent = &$parent->{$key};
            }
            $last = $path[count($path) - 1];
            if ($value === 'gone' && is_object($parent)) {
                unset($parent->{$last});
            } elseif (is_array($parent)) {
                $parent[$last] = $value;
            } else {
                $parent->{$last} = $value;
            }
            unset($parent);
            yield implode('.', $path).".$at" => $copy;
        }
    }
}

test('the published schemas of logs and plans, and their readers, accept and refuse the same (source: opis/json-schema)', function (string $name, string $example, callable $read) {
    $whole = json_decode((string) file_get_contents(base_path("docs/formats/examples/$example")));
    expect(schemaAccepts($whole, $name))->toBeTrue()->and(json_decode(json_encode($read(json_encode($whole)))))->toEqual($whole);
    $accepted = $refused = 0;
    foreach (changedDocuments($whole) as $case => $document) {
        try {
            $again = $read(json_encode($document, JSON_THROW_ON_ERROR));
            $reads = true;
        } catch (BadInput $e) {
            $reads = false;
            // A schema cannot compare two values: a family with the families, an id with those there are.
            if (str_ends_with($e->place, '.family') || in_array($e->reason->code, ['gone.principle', 'gone.named', 'twice.in_list', 'contradiction.prerequisites'], true)) {
                continue;
            }
        }
        $this->assertSame(schemaAccepts($document, $name), $reads, "$case: ".json_encode($document));
        if ($reads) {
            $this->assertTrue(schemaAccepts($again, $name), "$case, written again: ".json_encode($again));
        }
        $reads ? $accepted++ : $refused++;
    }
    expect($accepted)->toBeGreaterThan(100)->and($refused)->toBeGreaterThan(500);
})->with([
    'gorvan.log/1' => ['log', 'class.log.json', fn (string $json): stdClass => ClassLog::read(JsonNode::parse($json))->toData()],
    'gorvan.principles/1' => ['principles', 'nine.principles.json', fn (string $json): stdClass => json_decode(PrincipleFile::written(...(static fn (PrincipleFile $file): array => [$file->set, $file->bites])(PrincipleFile::read($json))))],
    'gorvan.lessons/1' => ['lessons', 'heron-gate.lessons.json', function (string $json): stdClass {
        $form = (new FormFileReader)->read((string) file_get_contents(base_path('docs/formats/examples/heron-gate.json')))->form;

        return json_decode(LessonsFile::written($form, LessonsFile::read($json, $form)[0]));
    }],
    'gorvan.plan/1' => ['plan', 'meeting.plan.json', fn (string $json): stdClass => MeetingPlan::read(JsonNode::parse($json))->toData()],
]);
