<?php

declare(strict_types=1);

namespace App\Console;

use App\Shared\Description\ApiDescription;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\OutputInterface;

/** Prints the description of the API, read off the code; the TypeScript types are made from it. */
final class OpenApiCommand extends Command
{
    protected $signature = 'gorvan:openapi';

    protected $description = 'Print the OpenAPI description of the API';

    public function handle(ApiDescription $api): int
    {
        $this->getOutput()->write(json_encode($api->toData(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES)."\n", false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
