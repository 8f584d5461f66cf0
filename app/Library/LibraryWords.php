<?php

declare(strict_types=1);

namespace App\Library;

use App\Library\Model\ImportKind;
use App\Shared\Words;

/** What the room Library says of manuals and imports; pure. */
final class LibraryWords
{
    /**
     * @param int $templates that must be re-read
     * @param int $cards of open visits that must be
     */
    public static function manual(string $code, int $revision, int $templates, int $cards): string
    {
        $open = Words::count($cards, 'open card');

        return match (true) {
            $templates === 0 && $cards === 0 => "Everything written from {$code} stands at revision {$revision}.",
            $templates === 0 => "{$open} must be re-read and accepted before anyone goes on.",
            default => Words::count($templates, 'card template')
                ." and {$open} must be re-read against revision {$revision}.",
        };
    }

    /** How the passage of a template that is to be re-read has changed. */
    public static function passage(?string $was, ?string $is): string
    {
        return match (true) {
            $was === null && $is === null => 'its text is not kept here; read it in the manual',
            $was === $is => 'its text is the same',
            default => 'its text is changed',
        };
    }

    /**
     * What an import changes, or changed.
     *
     * @param int $changes lines that differ from what is there
     * @param int $moved dates that move; of a revision, templates and cards to be re-read
     * @param int $stops aircraft whose first stop moves
     */
    public static function import(ImportKind $kind, bool $applied, int $changes, int $moved, int $stops): string
    {
        $what = Words::count($changes, match ($kind) {
            ImportKind::Flying => 'counter',
            ImportKind::Sectors => 'sector',
            ImportKind::Revision => 'passage or method',
            default => 'item',
        }, $kind === ImportKind::Revision ? 'passages and methods' : null);

        return match (true) {
            $applied => "Applied: {$what} changed.",
            $kind === ImportKind::Revision => "Applying this changes {$what}; "
                .Words::count($moved, 'card template or open card', 'card templates and open cards')
                .' must then be re-read before anyone starts on '.($moved === 1 ? 'it.' : 'them.'),
            $changes === 0 => 'This file changes nothing: everything in it is already so.',
            default => "Applying this changes {$what}, moves ".Words::count($moved, 'date').' and '
                .($stops === 0 ? 'no first stop.' : "the first stop of {$stops} aircraft."),
        };
    }
}
