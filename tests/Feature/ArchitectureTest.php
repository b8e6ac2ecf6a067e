<?php

declare(strict_types=1);

arch('core depends on nothing of the framework or the application')
    ->expect('Gorvan\Core')
    ->not->toUse(['Illuminate', 'Laravel', 'App', 'Database', 'Symfony', 'Carbon', 'OpenApi']);

arch('core classes are final and strict')->expect('Gorvan\Core')->classes()->toBeFinal()->toUseStrictTypes();

arch('core reads no clock, no chance, no file and no environment')
    ->expect(['time', 'date', 'microtime', 'hrtime', 'rand', 'mt_rand', 'random_int', 'shuffle', 'array_rand', 'file_get_contents', 'fopen', 'getenv', 'setlocale'])
    ->not->toBeUsedIn('Gorvan\Core');

arch('the application never reaches into what is internal to core')
    ->expect(['Gorvan\Core\Lesson\Internal', 'Gorvan\Core\Memory\Internal', 'Gorvan\Core\Term\Internal', 'Gorvan\Core\Reading\Internal'])
    ->not->toBeUsedIn('App');

arch('controllers do not compute: they use actions, models and shapes')
    ->expect('App\Http\Controllers')
    ->not->toUse(['Gorvan\Core\Memory\MemoryModel', 'Gorvan\Core\Memory\Replay', 'Gorvan\Core\Standing', 'Gorvan\Core\Term\FirstLayout']);

arch('nothing is left behind from looking for a fault')->expect(['dd', 'dump', 'ray', 'var_dump', 'die'])->not->toBeUsed();
