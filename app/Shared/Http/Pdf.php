<?php

declare(strict_types=1);

namespace App\Shared\Http;

use Illuminate\Http\Response;

/** A paper, shown in the browser. */
final class Pdf
{
    public static function of(string $contents, string $name): Response
    {
        return new Response(
            $contents,
            200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"{$name}\""],
        );
    }
}
