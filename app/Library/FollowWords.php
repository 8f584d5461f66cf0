<?php

declare(strict_types=1);

namespace App\Library;

use App\Floor\Model\Finding;
use App\Floor\Model\FollowUp as Opened;
use App\Shared\Words;
use Jorvel\Core\Library\ExceededTable;
use Jorvel\Core\Library\FollowKind;
use Jorvel\Core\Library\FollowRule;
use Jorvel\Core\Library\FollowUp;

/** What is said of what follows from a finding, and of exceeded limits; pure. */
final class FollowWords
{
    /** @param list<Opened> $waits */
    public static function waits(Finding $finding, array $waits): string
    {
        return "What follows from {$finding->number} is not answered yet: "
            .implode('; ', array_map(static fn(Opened $f): string => $f->text, $waits))
            .'. Answer it at the finding. Nothing was saved.';
    }

    /** Of which findings a rule speaks, or of which limit. */
    public static function when(FollowRule $rule): string
    {
        if ($rule->exceeded !== null) {
            return self::limit($rule->exceeded).', at '.Words::list($rule->exceeded->positions);
        }
        $any = array_map(
            static fn(array $list): string => implode(' or ', array_map(
                static fn(string $w): string => "\u{201C}{$w}\u{201D}",
                $list,
            )),
            $rule->found->words ?? [],
        );

        return 'a finding that says '.implode(', and ', $any)
            .(($rule->found->chapters ?? []) === [] ? '' : ', on chapter '.implode(' or ', $rule->found->chapters));
    }

    /**
     * What it opens, each in a line.
     *
     * @return list<string>
     */
    public static function then(FollowRule $rule): array
    {
        $of = static fn(FollowUp $f): string => self::kind($f->kind).': '.$f->text
            .($f->card === null ? '' : " ({$f->card})").($f->chapter === null ? '' : " (chapter {$f->chapter})")
            .($f->choices === [] ? '' : ': '.implode(' / ', $f->choices));
        $lines = array_map($of, $rule->then);
        foreach ($rule->exceeded->rows ?? [] as $row) {
            $lines[] = ucfirst(self::row($rule->exceeded, $row->beyond, $row->seconds)).": {$row->title}"
                .($row->severity === null ? ', no finding' : ", a {$row->severity} finding");
            $lines = [...$lines, ...array_map(static fn(FollowUp $f): string => "\u{2003}{$of($f)}", $row->then)];
        }

        return $lines;
    }

    public static function kind(FollowKind $kind): string
    {
        return match ($kind) {
            FollowKind::Question => 'Asked', FollowKind::Look => 'Looked at as well', FollowKind::Card => 'Card',
            FollowKind::Suspect => 'Suspect',
        };
    }

    /** A limit in words: "propeller speed at most 101 %". */
    public static function limit(ExceededTable $t): string
    {
        return "{$t->quantity} ".($t->over ? 'at most ' : 'at least ').self::amount($t->limit, $t);
    }

    /** What was exceeded in words: "102.6 %, 1.6 beyond, for 6 s". */
    public static function exceeded(ExceededTable $t, float $peak, float $seconds): string
    {
        return self::amount($peak, $t).', '.Words::number($t->beyond($peak), 3).' beyond, for '
            .self::time($seconds);
    }

    /** When a row of a table holds: "beyond 0.5 % for 5 s". */
    public static function row(ExceededTable $t, float $beyond, float $seconds): string
    {
        return ($beyond > 0 ? 'by '.self::amount($beyond, $t).' or more' : 'at all')
            .($seconds > 0 ? ', for '.self::time($seconds).' or longer' : '');
    }

    private static function amount(float $value, ExceededTable $t): string
    {
        return Words::number($value, 4).' '.$t->unit->label();
    }

    private static function time(float $seconds): string
    {
        return $seconds < 120 ? Words::number($seconds, 2).' s' : Words::number($seconds / 60, 2).' min';
    }
}
