<?php

declare(strict_types=1);

namespace App\Console;

use App\Shared\Http\Api;
use App\Shared\Http\RequestSchema;
use Illuminate\Console\Command;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Routing\Route;
use Illuminate\Routing\Router;
use LogicException;
use OpenApi\Generator;
use ReflectionClass;
use ReflectionMethod;
use ReflectionNamedType;

/**
 * Writes the API's description for the front end's types. Addresses come from the routes, what is sent from the rules
 * of the requests, what is answered from the views; `Api` beside each method names the operation.
 */
final class DescribeApi extends Command
{
    protected $signature = 'jorvel:openapi';

    protected $description = 'Write the OpenAPI description to storage/app/openapi.json';

    public function handle(Router $router): int
    {
        $spec = (new Generator)->generate([app_path()], validate: false);
        $json = json_decode($spec?->toJson() ?? '{}', true, 512, JSON_THROW_ON_ERROR);
        // Every field of a view is always there; what may be empty says so by its type.
        foreach ($json['components']['schemas'] ?? [] as $name => $schema) {
            $json['components']['schemas'][$name]['required'] = array_keys($schema['properties'] ?? []);
        }
        $json['paths'] = [];
        foreach ($router->getRoutes()->getRoutes() as $route) {
            if (str_contains($route->getActionName(), '@')) {
                $method = new ReflectionMethod(...explode('@', $route->getActionName()));
                $api = ($method->getAttributes(Api::class)[0] ?? null)?->newInstance();
                if ($api !== null) {
                    $json['paths']['/'.$route->uri()][strtolower($route->methods()[0])] = $this->operation(
                        $route,
                        $method,
                        $api,
                    );
                }
            }
        }
        ksort($json['paths']);
        file_put_contents(
            storage_path('app/openapi.json'),
            json_encode($json, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES),
        );
        $this->line(count($json['paths']).' paths, '.count($json['components']['schemas'] ?? []).' schemas.');

        return self::SUCCESS;
    }

    /** @return array<string, mixed> */
    private function operation(Route $route, ReflectionMethod $method, Api $api): array
    {
        $parameters = array_map(static fn(string $name): array => [
            'name' => $name, 'in' => 'path', 'required' => true,
            'schema' => ['type' => str_starts_with($route->wheres[$name] ?? '', '[0-9]') ? 'integer' : 'string'],
        ], $route->parameterNames());
        $asked = $api->takes === null ? $this->asked($route, $method) : [
            'type' => $api->takes,
            'additionalProperties' => true,
        ];
        $reads = $route->methods()[0] === 'GET';
        foreach ($reads ? $asked['properties'] ?? [] : [] as $name => $schema) {
            $parameters[] = [
                'name' => $name, 'in' => 'query', 'schema' => $schema,
                'required' => in_array($name, $asked['required'] ?? [], true),
            ];
        }
        $file = ($asked['properties']['photo']['format'] ?? null) === 'binary';

        return [
            'operationId' => $api->name,
            ...$parameters === [] ? [] : ['parameters' => $parameters],
            ...$reads || $asked === null ? [] : ['requestBody' => [
                'required' => true,
                'content' => [$file ? 'multipart/form-data' : 'application/json' => ['schema' => $asked]],
            ]],
            'responses' => [$api->status => [
                'description' => $api->says,
                ...$api->answers === null ? [] : ['content' => ['application/json' => [
                    'schema' => $api->orNull
                        ? ['oneOf' => [self::answer($api->answers), ['type' => 'null']]]
                        : self::answer($api->answers),
                ]]],
            ]],
        ];
    }

    /**
     * @param string|list<string> $answers
     *
     * @return array<string, mixed>
     */
    private static function answer(string|array $answers): array
    {
        return match (true) {
            is_array($answers) => ['type' => 'array', 'items' => self::answer($answers[0])],
            class_exists($answers) => ['$ref' => '#/components/schemas/'.class_basename($answers)],
            $answers === 'object' => ['type' => 'object', 'additionalProperties' => true],
            default => ['type' => $answers],
        };
    }

    /** @return array<string, mixed>|null what the method's request may hold; null where it asks for none */
    private function asked(Route $route, ReflectionMethod $method): ?array
    {
        foreach ($method->getParameters() as $parameter) {
            $type = $parameter->getType();
            $class = $type instanceof ReflectionNamedType ? $type->getName() : '';
            if (! is_subclass_of($class, FormRequest::class)) {
                continue;
            }
            $address = (string) preg_replace('/\{\w+\}/', '1', $route->uri());
            $request = $class::create($address, $route->methods()[0]);
            assert(method_exists($request, 'rules'));
            $bound = (clone $route)->bind($request);
            $request->setContainer($this->laravel)->setRouteResolver(static fn(): Route => $bound);
            $rules = $request->rules();
            $says = (new ReflectionClass($class))->getConstant('SAYS') ?: [];
            $strange = array_diff(array_keys($says), array_keys($rules));

            return match (true) {
                $strange !== [] => throw new LogicException("{$class} says something of ".implode(', ', $strange)),
                $rules === [] => null,
                default => RequestSchema::of($rules, $says),
            };
        }

        return null;
    }
}
