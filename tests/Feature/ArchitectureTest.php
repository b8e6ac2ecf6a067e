<?php

declare(strict_types=1);

arch('core depends on nothing of the framework or the application')
    ->expect('Gorvan\Core')
    ->not->toUse(['Illuminate', 'Laravel', 'App', 'Database', 'Symfony', 'Carbon', 'OpenApi']);

arch('core classes are strict')->expect('Gorvan\Core')->toUseStrictTypes();

test('core classes are final, but for what one class a reason stands under', function () {
    $open = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(base_path('core/src'), FilesystemIterator::SKIP_DOTS)) as $file) {
        if (preg_match('/^(?:abstract |readonly )*class (\w+)/m', (string) file_get_contents((string) $file), $m) === 1) {
            $open[] = $m[1];
        }
    }
    expect($open)->toEqualCanonicalizing(['BadInput', 'CutImpossible', 'RecordFault']);
});

arch('core reads no clock, no chance, no file and no environment')
    ->expect(['time', 'date', 'microtime', 'hrtime', 'rand', 'mt_rand', 'random_int', 'shuffle', 'array_rand', 'file_get_contents', 'fopen', 'getenv', 'setlocale'])
    ->not->toBeUsedIn('Gorvan\Core');

/**
 * Which folder of core uses which, and by what: `Internal` belongs to the folder it lies in.
 *
 * @return array<string, array<string, string>>
 */
function foldersOfCore(): array
{
    $uses = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(base_path('core/src'), FilesystemIterator::SKIP_DOTS)) as $file) {
        $text = php_strip_whitespace((string) $file); // what only a comment names is not used
        preg_match('/\bnamespace Gorvan\\\\Core\\\\([\w\\\\]+);/', $text, $own);
        preg_match_all('/\bGorvan\\\\Core\\\\([\w\\\\]+)\\\\(\w+)/', $text, $found, PREG_SET_ORDER);
        foreach ($found as [, $folder, $class]) {
            $uses[$own[1]][$folder] = basename((string) $file)." uses $folder\\$class";
        }
    }

    return $uses;
}

test('nobody uses what is internal to another folder of core', function () {
    $wrong = [];
    foreach (foldersOfCore() as $folder => $used) {
        foreach ($used as $other => $how) {
            if (str_contains("$other\\", 'Internal\\') && explode('\\', $other)[0] !== explode('\\', $folder)[0]) {
                $wrong[] = $how;
            }
        }
    }
    expect($wrong)->toBe([]);
});

test('no folder of core uses another that uses it in turn, near or far, whole or in its parts', function () {
    foreach ([fn (string $folder) => preg_replace('/\\\\?Internal$/', '', $folder), fn (string $folder) => explode('\\', $folder)[0]] as $folderOf) {
        $arrows = [];
        foreach (foldersOfCore() as $folder => $used) {
            foreach (array_keys($used) as $other) {
                if ($folderOf($folder) !== $folderOf($other)) {
                    $arrows[$folderOf($folder)][$folderOf($other)] = true;
                }
            }
        }
        // What everything it uses is gone already, goes; what is left at last goes in a circle.
        do {
            $before = count($arrows);
            $arrows = array_filter($arrows, fn (array $used) => array_intersect_key($used, $arrows) !== []);
        } while (count($arrows) < $before);
        expect(array_keys($arrows))->toBe([]);
    }
});

arch('the application never reaches into what is internal to core')
    ->expect(['Gorvan\Core\Lesson\Internal', 'Gorvan\Core\Term\Internal', 'Gorvan\Core\Reading\Internal'])
    ->not->toBeUsedIn('App');

arch('controllers do not compute: they use actions, models and shapes')
    ->expect('App\Http\Controllers')
    ->not->toUse(['Gorvan\Core\Memory', 'Gorvan\Core\Term\TermPlanner', 'Gorvan\Core\Term\MeetingBoxes']);

arch('shapes of answers describe and compute nothing, and no action knows them')
    ->expect('App\Http\Data')
    ->not->toUse(['Gorvan\Core\Memory', 'App\Record'])
    ->not->toBeUsedIn('App\Actions');

arch('nothing is left behind from looking for a fault')->expect(['dd', 'dump', 'ray', 'var_dump', 'die'])->not->toBeUsed();

test('nothing is written to a row that nobody named: no request is kept as it came', function () {
    $whole = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(app_path(), FilesystemIterator::SKIP_DOTS)) as $file) {
        $code = (string) file_get_contents((string) $file);
        // All of a request, or what was validated of it in one piece, handed to what writes.
        if (preg_match('/(?:create|update|fill|forceFill|insert|upsert|OrCreate)\((?:[^;]*,\s*)?(?:\[[^;\]]*\.\.\.)?\$(?:request|given|body)(?:->(?:all|input|post|validated|except)\(\))?[,\s\]]*\)/', $code) === 1) {
            $whole[] = basename((string) $file);
        }
    }
    expect($whole)->toBe([]);
});

test('a row of a school is made ready as the framework would make it ready', function () {
    $models = array_filter(array_map(fn (string $file): string => 'App\\Models\\'.basename($file, '.php'), glob(app_path('Models/*.php'))),
        fn (string $class): bool => in_array(App\Models\BelongsToSchool::class, class_exists($class) ? class_uses_recursive($class) : [], true));
    $ready = fn (string $class): array => array_values(array_unique((new ReflectionProperty(Illuminate\Database\Eloquent\Model::class, 'traitInitializers'))->getValue()[$class]));
    expect(count($models))->toBeGreaterThan(20);
    foreach ($models as $class) {
        new $class;
        $own = $ready($class);
        // What it would look for in every method: a name after a trait, or an attribute.
        $found = [];
        foreach ((new ReflectionClass($class))->getMethods() as $method) {
            expect($method->getAttributes(Illuminate\Database\Eloquent\Attributes\Boot::class))->toBe([], "$class says by an attribute what is done first");
            if ($method->getAttributes(Illuminate\Database\Eloquent\Attributes\Initialize::class) !== [] || in_array($method->getName(), array_map(fn (string $trait): string => 'initialize'.class_basename($trait), class_uses_recursive($class)), true)) {
                $found[] = $method->getName();
            }
        }
        expect($own)->toEqualCanonicalizing($found, $class)
            ->and($class::hasGlobalScope('school'))->toBeTrue()
            ->and((new $class)->getIncrementing())->toBeFalse()->and((new $class)->usesUniqueIds())->toBeTrue();
    }
});
