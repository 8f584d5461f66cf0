<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use OpenApi\Generator;

/**
 * Writes the API's description, generated from the attributes beside the routes and views, for the front end's types.
 */
final class DescribeApi extends Command
{
    protected $signature = 'jorvel:openapi';

    protected $description = 'Write the OpenAPI description to storage/app/openapi.json';

    public function handle(): int
    {
        $spec = Generator::scan([app_path()]);
        $json = json_decode($spec?->toJson() ?? '{}', true, 512, JSON_THROW_ON_ERROR);
        // Every field of a view is always there; what may be empty says so by its type.
        foreach ($json['components']['schemas'] ?? [] as $name => $schema) {
            $json['components']['schemas'][$name]['required'] = array_keys($schema['properties'] ?? []);
        }
        file_put_contents(
            storage_path('app/openapi.json'),
            json_encode($json, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES),
        );
        $this->line(count($json['paths'] ?? []).' paths, '.count($json['components']['schemas'] ?? []).' schemas.');

        return self::SUCCESS;
    }
}
