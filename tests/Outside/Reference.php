<?php

declare(strict_types=1);

namespace Tests\Outside;

use RuntimeException;
use Symfony\Component\Process\Process;

/** Asks a reference library in Node: JSON in, JSON out. */
final class Reference
{
    public static function ask(string $script, mixed $data): mixed
    {
        $process = new Process(['node', __DIR__."/$script"], dirname(__DIR__, 2), null, json_encode($data, JSON_THROW_ON_ERROR), 600);
        $process->run();
        if (! $process->isSuccessful()) {
            throw new RuntimeException("$script: ".$process->getErrorOutput());
        }

        return json_decode($process->getOutput(), true, 64, JSON_THROW_ON_ERROR);
    }
}
