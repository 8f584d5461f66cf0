<?php

declare(strict_types=1);

namespace App\Crew\Do;

/** What is guessed before anything else: refused as a password or PIN. */
final class PlainSecret
{
    private const WORDS = ['password', 'passwort', 'passord', 'qwerty', 'letmein', 'welcome', 'jorvel'];

    /** @return string|null why this password is soon guessed */
    public static function password(string $password, string $login): ?string
    {
        $plain = mb_strtolower($password);
        $said = array_filter(
            [...self::WORDS, $login],
            static fn(string $word): bool => $word !== '' && str_contains($plain, mb_strtolower($word)),
        );

        return match (true) {
            count(array_unique(mb_str_split($plain))) < 5
                => 'That password is soon guessed: it has fewer than five different characters.',
            // A word that everybody tries is no harm inside a long sentence.
            $said !== [] && mb_strlen($plain) < 16
                => 'That password is soon guessed: it holds "'.reset($said).'". Take another, or a whole sentence.',
            default => null,
        };
    }

    /** @return string|null why this PIN is soon guessed */
    public static function pin(string $pin): ?string
    {
        return preg_match('/^(\d)\1*$/', $pin) === 1 || str_contains('01234567890', $pin)
            || str_contains('09876543210', $pin)
            ? 'That PIN is soon guessed. Take digits that neither repeat nor count.' : null;
    }
}
