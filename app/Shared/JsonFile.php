<?php

declare(strict_types=1);

namespace App\Shared;

/** What somebody brings as a file of JSON. */
final class JsonFile
{
    /** @throws Refused when it is none, with what the reader says of it */
    public static function read(string $text): mixed
    {
        try {
            return json_decode($text, false, 512, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw Refused::lines(
                'The file is not JSON. Nothing was changed.',
                [['line' => 'file', 'message' => $e->getMessage()]],
            );
        }
    }
}
