<?php

declare(strict_types=1);

namespace App\Library;

use App\Library\Model\ImportKind;
use App\Shared\Words;
use Jorvel\Core\Floor\Proof;
use Jorvel\Core\Library\CardNotes;
use Jorvel\Core\Library\CardState;
use Jorvel\Core\Library\Steps;
use Jorvel\Core\Now\NotWhole;

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

    /**
     * Where a fault is: `steps.3.spec.of` is "step 4, of", by the number that the step has on the card.
     *
     * @param mixed $steps of the card, as far as they are written
     */
    public static function place(string $path, mixed $steps = []): string
    {
        if ($path === '') {
            return 'the card';
        }
        if (preg_match('/^steps\.(\d+)(?:\.spec\.steps\.(\d+))?(?:\.(.*))?$/', $path, $m) === 1) {
            $step = is_array($steps) ? $steps[(int) $m[1]] ?? null : null;
            $block = Steps::holds((string) ($step['kind'] ?? '')) && ($m[2] ?? '') === '';
            $title = is_string($step['title'] ?? null) ? $step['title'] : '';

            return ($block ? "block \"{$title}\"" : 'step '.self::numberOf($steps, (int) $m[1], (int) ($m[2] ?? 0)))
                .(($m[3] ?? '') === '' ? '' : ', '.self::inside($m[3]));
        }

        return self::inside($path);
    }

    private static function numberOf(mixed $steps, int $at, int $inner): int
    {
        $no = 1;
        foreach (is_array($steps) ? array_slice($steps, 0, $at) : [] as $step) {
            $spec = $step['spec'] ?? [];
            $many = count((array) ($spec['positions'] ?? []));
            $no += match ($step['kind'] ?? null) {
                'each' => count((array) ($spec['steps'] ?? [])) * $many,
                // Beside its own steps the one that begins an attempt, and the one that gives the verdict.
                'functional' => (count((array) ($spec['steps'] ?? [])) + 2) * max(1, $many),
                default => 1,
            };
        }
        $of = is_array($steps) ? $steps[$at] ?? null : null;

        return $no + $inner + (($of['kind'] ?? null) === 'functional' ? 1 : 0);
    }

    private static function inside(string $path): string
    {
        $said = [];
        $parts = explode('.', $path);
        for ($i = 0; $i < count($parts); $i++) {
            $next = $parts[$i + 1] ?? '';
            if (ctype_digit($next)) {
                $said[] = rtrim(str_replace('_', ' ', $parts[$i]), 's').' '.((int) $next + 1);
                $i++;
            } elseif ($parts[$i] !== 'spec') {
                $said[] = str_replace('_', ' ', $parts[$i]);
            }
        }

        return implode(', ', $said);
    }

    /** A value of a card in words: a step by its kind, title and what it holds. */
    public static function value(mixed $value): string
    {
        if (is_array($value) && isset($value['kind'], $value['title'])) {
            $more = array_filter(['text' => $value['text'] ?? '', ...$value['spec'] ?? []], static fn(mixed $v): bool
                => $v !== '' && $v !== []);

            return str_replace('_', ' ', "{$value['kind']}: {$value['title']}")
                .($more === [] ? '' : '. '.self::value($more));
        }

        return match (true) {
            $value === null => '',
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) => implode('; ', array_map(
                static fn(int|string $k, mixed $v): string => is_int($k)
                    ? self::value($v)
                    : str_replace('_', ' ', $k).' '.self::value($v),
                array_keys($value),
                $value,
            )),
            default => (string) $value,
        };
    }

    /** Whether a value of a card is a warning or a caution. */
    public static function warns(mixed $value): bool
    {
        return is_array($value) && ($value['kind'] ?? null) === 'caution';
    }

    /** What a version is, in a word. */
    public static function state(CardState $state): string
    {
        return match ($state) {
            CardState::Draft => 'draft', CardState::Checked => 'checked, waits to come in force',
            CardState::InForce => 'in force', CardState::Replaced => 'replaced', CardState::Discarded => 'discarded',
        };
    }

    /**
     * What a card leaves behind it, for whoever writes it.
     *
     * @param list<array<string, mixed>> $steps as a card has them
     *
     * @return list<string>
     */
    public static function leaves(array $steps): array
    {
        $said = array_map(static fn(NotWhole $n): string => "Step {$n->last->step} disturbs {$n->what}; "
            .($n->joined === null ? 'no later step joins it' : 'no later step proves it by '.Words::list(array_map(
                static fn(Proof $p): string => str_replace('_', ' ', $p->value),
                $n->missing,
            ))).'.', CardNotes::unproven($steps));
        foreach (CardNotes::leftFitted($steps) as $no) {
            $said[] = "What step {$no} fits is taken off by no later step.";
        }
        return $said;
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
            ImportKind::Follows => 'line of a rule',
            ImportKind::Listed, ImportKind::ListedCsv => 'term of the list',
            default => 'item',
        }, match ($kind) {
            ImportKind::Revision => 'passages and methods', ImportKind::Follows => 'lines of rules',
            ImportKind::Listed, ImportKind::ListedCsv => 'terms of the list', default => null,
        });

        return match (true) {
            $applied => "Applied: {$what} changed.",
            $kind === ImportKind::Revision => "Applying this changes {$what}; "
                .Words::count($moved, 'card template or open card', 'card templates and open cards')
                .' must then be re-read before anyone starts on '.($moved === 1 ? 'it.' : 'them.'),
            $kind === ImportKind::Follows && $changes > 0 => "Applying this proposes {$what}; somebody else brings them in "
                .'force.',
            ($kind === ImportKind::Listed || $kind === ImportKind::ListedCsv) && $changes > 0
                => "Applying this changes {$what}; what is carried goes on as it was deferred.",
            $changes === 0 => 'This file changes nothing: everything in it is already so.',
            default => "Applying this changes {$what}, moves ".Words::count($moved, 'date').' and '
                .($stops === 0 ? 'no first stop.' : "the first stop of {$stops} aircraft."),
        };
    }
}
