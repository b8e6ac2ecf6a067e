<?php

declare(strict_types=1);

use App\Shared\Description\Shapes;
use App\Shared\Sent\Each;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use App\Shared\Sent\SentReader;
use App\Shared\Sent\Unsaid;
use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

final readonly class SentStep implements Sent
{
    public function __construct(
        #[Rules('min:1', 'distinct')]
        public int $after,
        public ?CutPin $pin,
        #[Rules('prohibits:{path}pin')]
        public ?float $load = null,
    ) {
    }
}

final readonly class SentPaceOf implements Sent
{
    public function __construct(public ?float $minutes = null)
    {
    }
}

final readonly class SentWalk implements Sent
{
    /**
     * @param  list<SentStep>  $steps
     * @param  array<string, bool>  $who  by student
     * @param  list<string>|null|Unsaid  $notes
     */
    public function __construct(
        #[Rules('max:5')]
        public string $title,
        public DateTimeImmutable $at,
        #[Rules('max:2')]
        public array $steps,
        public array $who = [],
        #[Each('max:3')]
        public array|null|Unsaid $notes = Unsaid::Unsaid,
        public ?SentStep $last = null,
        public bool $isSlow = false,
        public ?SentPaceOf $slow = null,
    ) {
    }
}

final readonly class SentText implements Sent
{
    public function __construct(public int $base, public JsonNode $edits)
    {
    }
}

function walk(array $change = []): SentWalk
{
    $sent = [...['title' => 'Wade', 'at' => '2026-01-06T19:00:00+01:00', 'steps' => []], ...$change];

    return (new SentReader)->read(SentWalk::class, Request::create('/', 'POST', array_filter($sent, fn ($one) => $one !== 'absent')));
}

test('what is sent is made of its constructor: each value of its type, what was left out as its default', function () {
    $walk = walk(['steps' => [['after' => '3', 'pin' => 'always'], ['after' => 4, 'pin' => null, 'load' => '2.5']], 'who' => ['ada' => '1'], 'isSlow' => 1]);
    expect($walk->steps[0])->toEqual(new SentStep(3, CutPin::Always))
        ->and($walk->steps[1])->toEqual(new SentStep(4, null, 2.5))
        ->and($walk->who)->toBe(['ada' => true])
        ->and($walk->at->format(DATE_ATOM))->toBe('2026-01-06T19:00:00+01:00')
        ->and($walk->notes)->toBe(Unsaid::Unsaid)
        ->and($walk->isSlow)->toBeTrue()
        ->and(walk(['notes' => null])->notes)->toBeNull()
        ->and(walk(['notes' => []])->notes)->toBe([])
        ->and(walk()->last)->toBeNull()
        ->and(walk(['slow' => []])->slow)->toEqual(new SentPaceOf)
        ->and(walk()->slow)->toBeNull();
});

test('what is wrong is said at its place, however deep it lies', function (array $change, string $place) {
    try {
        walk($change);
        $this->fail('It was taken.');
    } catch (ValidationException $e) {
        expect(array_key_first($e->errors()))->toBe($place);
    }
})->with([
    'too long' => [['title' => 'Wading'], 'title'],
    'not there' => [['title' => 'absent'], 'title'],
    'a list that is not there' => [['steps' => 'absent'], 'steps'],
    'too many of them' => [['steps' => [['after' => 1, 'pin' => null], ['after' => 2, 'pin' => null], ['after' => 3, 'pin' => null]]], 'steps'],
    'no object in a list' => [['steps' => ['x']], 'steps.0'],
    'no such value of an enum' => [['steps' => [['after' => 1, 'pin' => 'sometimes']]], 'steps.0.pin'],
    'a value that must be said, if only as none' => [['steps' => [['after' => 1]]], 'steps.0.pin'],
    'one that keeps another out' => [['steps' => [['after' => 1, 'pin' => 'always', 'load' => 2]]], 'steps.0.load'],
    'each of a list' => [['notes' => ['long']], 'notes.0'],
    'each of a map' => [['who' => ['ada' => 'perhaps']], 'who.ada'],
    'an object that may be left out and is not whole' => [['last' => ['pin' => null]], 'last.after'],
]);

test('an instant needs its offset, as in every file', function () {
    expect(fn () => walk(['at' => '2026-01-06T19:00:00']))->toThrow(BadInput::class);
});

test('what core reads itself is read from the text, where an empty object is no empty list', function () {
    $sent = (new SentReader)->read(SentText::class, Request::create('/', 'POST', server: ['CONTENT_TYPE' => 'application/json'], content: '{"base": 2, "edits": [{}]}'));
    expect($sent->base)->toBe(2)->and($sent->edits->path)->toBe('$.edits')->and($sent->edits->items()[0]->value)->toBeInstanceOf(stdClass::class);
});

test('its description is its constructor too: what may be left out, what may be null, and what each is', function () {
    $shapes = new Shapes;
    $shapes->named(SentWalk::class);
    $all = $shapes->all();
    expect($all['SentWalk']['required'])->toBe(['title', 'at', 'steps'])
        ->and($all['SentWalk']['properties']['steps'])->toBe(['type' => 'array', 'items' => ['$ref' => '#/components/schemas/SentStep']])
        ->and($all['SentWalk']['properties']['who'])->toBe(['description' => 'by student', 'type' => 'object', 'additionalProperties' => ['type' => 'boolean']])
        ->and($all['SentWalk']['properties']['notes'])->toBe(['type' => 'array', 'items' => ['type' => 'string'], 'nullable' => true])
        ->and($all['SentWalk']['properties']['last'])->toBe(['oneOf' => [['$ref' => '#/components/schemas/SentStep']], 'nullable' => true])
        ->and($all['SentStep']['required'])->toBe(['after', 'pin'])
        ->and($all['CutPin']['enum'])->toBe(['always', 'never']);
});

test('two classes of one name are no one shape', function () {
    $shapes = new Shapes;
    $shapes->named(Gorvan\Core\Reading\Message::class);
    $shapes->named(Illuminate\Mail\Message::class);
})->throws(LogicException::class, 'one name');
