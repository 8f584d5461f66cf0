<?php

declare(strict_types=1);

namespace Jorvel\Core\Contract;

use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/** What the command line and HTTP both do: JSON text in, JSON text out, one object or an array of them. */
final class Door
{
    /**
     * @param string $kind a name of {@see Kinds}
     *
     * @return string the result, or an array of results in the same order
     *
     * @throws InputError with the path of what is wrong; in a batch it starts with the element's index
     */
    public static function compute(string $kind, string $json): string
    {
        $kinds = Kinds::all();
        $worker = $kinds[$kind] ?? throw InputError::at(
            '',
            "\"{$kind}\" is not a kind; use one of ".implode(', ', array_keys($kinds)),
        );
        try {
            $data = json_decode($json, false, 512, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw InputError::at('', 'is not JSON: '.lcfirst($e->getMessage()));
        }
        if (! is_array($data)) {
            return self::encode(self::one($worker, $data));
        }
        $results = [];
        foreach ($data as $i => $element) {
            try {
                $results[] = self::one($worker, $element);
            } catch (InputError $e) {
                throw $e->under((string) $i);
            }
        }

        return self::encode($results);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InputError
     */
    private static function one(Kind $kind, mixed $data): array
    {
        if (! $data instanceof \stdClass) {
            throw InputError::at('', 'must be an object');
        }
        self::requireFinite($data, '');
        Schema::check($kind->name(), $data);

        return $kind->compute(Input::of($data));
    }

    /** JSON has no NaN, but a number too large for a float arrives as infinity. @throws InputError */
    private static function requireFinite(mixed $data, string $path): void
    {
        if (is_float($data) && ! is_finite($data)) {
            throw InputError::at($path, 'is too large a number');
        }
        foreach (is_array($data) || $data instanceof \stdClass ? (array) $data : [] as $key => $value) {
            self::requireFinite($value, $path === '' ? (string) $key : $path.'.'.$key);
        }
    }

    private static function encode(mixed $result): string
    {
        return json_encode($result, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }
}
