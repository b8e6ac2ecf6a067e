<?php

declare(strict_types=1);

use Gorvan\Core\Form\FormFileReader;
use Gorvan\Core\Form\FormFileWriter;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Tests\Sample;
use Opis\JsonSchema\Validator;

function schemaAccepts(mixed $data): bool
{
    $schema = json_decode((string) file_get_contents(base_path('docs/formats/form.schema.json')));

    return (new Validator)->validate(json_decode(json_encode($data, JSON_THROW_ON_ERROR)), $schema)->isValid();
}

/** @return array<string, mixed> one changed member of an entry, of a section or of the root */
function changedForms(): array
{
    $values = [null, 'text', '', 'left', 'heel', 'none', 'movement', 'always', '3', 0, 1, -1, 0.3, 7, 100, 101, 4000, -90, 1e9, true, [], [1, 2], [60, 40], [1, 'x'], new stdClass, [['text' => 'a', 'lang' => 'zh']], [['lang' => 'zh']], (object) ['number' => '7a', 'page' => 3], (object) ['page' => 'x'],
        // What the lists of an entry hold, each right, wrong and lacking something.
        [['breath' => 'in', 'weight' => [5, 10], 'states' => [['part' => 'chest', 'state' => 'open']]]], [['breath' => 'up']], [['weight' => 101]], [['title' => 'P', 'states' => [['part' => 'chest']]]],
        [['title' => 'Low', 'reason' => 'level', 'depth' => 'low', 'shown_only' => true, 'cautions' => [['for' => 'knee', 'do' => 'smaller']]]], [['title' => 'Low', 'depth' => 'deep']], [['title' => 'Low', 'cautions' => [['for' => 'knee']]]],
        [['for' => 'knee', 'do' => 'smaller', 'text' => 'x']], [['for' => 'toe', 'do' => 'smaller']], [['wrong' => 'a', 'right' => 'b']], [['wrong' => 'a']], ['deep_bend'], ['sigh'], ['line', 'line'],
        [['nth' => 4, 'of' => 'sides', 'how' => 'toes out']], [['nth' => 0]], [['scheme' => 'Short', 'number' => '1']], [['scheme' => 'Short', 'number' => 1]], [['form' => 'Other', 'entry' => 'k']], [['name' => 'Short', 'announced' => 8]],
        [['part' => 'hips', 'state' => 'open', 'principle' => 'p']], [['code' => 'sides', 'entry' => 'a', 'reason' => 'r', 'grounds' => 'abc']], [['code' => 'luck', 'reason' => 'r', 'grounds' => 'abc']], 'both', 0.8];
    $cases = [];
    foreach (['id', 'kind', 'number', 'booklet', 'title', 'aliases', 'side', 'start_side', 'one_sided', 'repetition', 'repetition_inferred', 'differs', 'numbers', 'same_in', 'phases', 'states', 'variants', 'strains', 'cautions', 'checks', 'errors', 'drills', 'cues', 'breaths', 'first_step', 'steps', 'footfall', 'weight_end', 'turn', 'travel', 'stance', 'one_leg', 'returns', 'mirrors', 'demand', 'rest', 'cut', 'unknown'] as $key) {
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
            $weightBackwards = str_contains($e->reason, 'smaller to the larger'); // a schema cannot compare two values
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
})->with(['database/demo/marsh-lantern.json', 'docs/formats/examples/heron-gate.json', 'database/starters/sword-32.json', 'database/starters/combined-42.json', 'database/starters/simplified-24.json']);

test('a form with one of everything is what the schema says, to the last key', function () {
    $written = json_decode((new FormFileWriter)->write(Sample::whole()));
    $schema = json_decode((string) file_get_contents(base_path('docs/formats/form.schema.json')));
    expect(schemaAccepts($written))->toBeTrue();
    $keys = array_keys(array_merge(...array_map(get_object_vars(...), $written->entries)));
    expect(array_values(array_diff($keys, array_keys(get_object_vars($schema->{'$defs'}->entry->properties)))))->toBe([])
        ->and(array_values(array_diff(array_keys(get_object_vars($schema->{'$defs'}->entry->properties)), $keys)))->toBe([]);
});
