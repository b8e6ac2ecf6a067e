<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use OpenApi\Generator;

/** Prints the description of the API, read off the code; the TypeScript types are made from it. */
final class OpenApiCommand extends Command
{
    protected $signature = 'gorvan:openapi';

    protected $description = 'Print the OpenAPI description of the API';

    public function handle(): int
    {
        $api = (new Generator)->generate([app_path('Http')]);
        if ($api === null) {
            return self::FAILURE;
        }
        // Our answers always carry every key, null where nothing is known; the attributes need not repeat that.
        foreach (is_array($api->components->schemas) ? $api->components->schemas : [] as $schema) {
            if (is_array($schema->properties) && $schema->required === Generator::UNDEFINED) {
                $schema->required = array_map(static fn ($property): string => $property->property, $schema->properties);
            }
        }
        $this->getOutput()->write($api->toJson(JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES)."\n", false, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
