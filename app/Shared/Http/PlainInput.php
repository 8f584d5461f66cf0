<?php

declare(strict_types=1);

namespace App\Shared\Http;

use App\Shared\Refused;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Text that can be kept and printed: valid UTF-8, and of the control characters only tab and line ends. Anything else
 * is refused by its field.
 */
final class PlainInput
{
    public function handle(Request $request, Closure $next): Response
    {
        if (
            $request->isJson()
            && $request->getContent() !== ''
            && json_decode((string) $request->getContent()) === null
            && trim((string) $request->getContent()) !== 'null'
            && ! $request->is('api/compute/*')
        ) {
            throw Refused::because('The request is not readable JSON. Nothing was changed; send it again.');
        }
        self::check($request->query->all(), '');
        self::check($request->request->all(), '');
        if ($request->isJson()) {
            self::check($request->json()->all(), '');
        }
        self::check(['address' => rawurldecode($request->getPathInfo())], '');

        return $next($request);
    }

    /** @param array<array-key, mixed> $values */
    private static function check(array $values, string $under): void
    {
        foreach ($values as $name => $value) {
            $place = $under === '' ? (string) $name : "{$under}.{$name}";
            foreach (is_array($value) ? [(string) $name] : [(string) $name, is_string($value) ? $value : ''] as $text) {
                if (preg_match('//u', $text) !== 1 || preg_match('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/', $text) === 1) {
                    $safe = preg_replace('/[^\x20-\x7E]+/', '?', mb_strcut($place, 0, 60));
                    throw Refused::because(
                        "{$safe}: contains characters that cannot be kept or printed. Type it again; nothing was "
                            .'changed.',
                    );
                }
            }
            if (is_array($value)) {
                self::check($value, $place);
            }
        }
    }
}
