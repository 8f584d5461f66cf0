<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Fleet\Model\Aircraft;
use App\Shared\Csv;
use App\Shared\Refused;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;

/** What an engine's recorder gives out as CSV: `mark,rule,position,peak,seconds,at`, checked whole. */
final readonly class RecorderFile
{
    private const HEAD = ['mark', 'rule', 'position', 'peak', 'seconds', 'at'];

    /** @param list<array{aircraft: Aircraft, new: NewExceedance}> $rows */
    private function __construct(public array $rows) {}

    /** @throws Refused with every line that is wrong */
    public static function read(string $text, Exceedances $exceedances): self
    {
        $lines = Csv::read($text);
        $head = array_map(static fn(string $h): string => strtolower(trim($h)), array_shift($lines) ?? []);
        if ($head !== self::HEAD) {
            throw Refused::lines('The file is no list of exceeded limits. Nothing was recorded.', [
                ['line' => 'line 1', 'message' => 'must be the columns '.implode(', ', self::HEAD)],
            ]);
        }
        $aircraft = Aircraft::with('type')->get()->keyBy('mark')->all();
        $bad = $rows = $seen = [];
        foreach ($lines as $i => $cells) {
            $at = 'line '.($i + 2);
            try {
                if (count($cells) !== count(self::HEAD)) {
                    throw InputError::at('', 'has '.count($cells).' cells; '.count(self::HEAD).' are wanted');
                }
                [$mark, $rule, $position, $peak, $seconds, $when] = array_map(trim(...), $cells);
                $craft = $aircraft[$mark] ?? throw InputError::at('mark', "there is no aircraft \"{$mark}\"");
                $table = Exceedances::ruleOf($craft->type_id, $rule)->rule()->exceeded;
                $happened = self::instant($when);
                $key = "{$mark}/{$rule}/{$position}/{$happened}";
                if (isset($seen[$key])) {
                    throw InputError::at('at', "is the same as {$seen[$key]}");
                }
                $seen[$key] = $at;
                $new = new NewExceedance(
                    $rule,
                    $position,
                    self::number('peak', $peak, $table->unit ?? Unit::s),
                    self::number('seconds', $seconds, Unit::s),
                    'recorder',
                    $happened,
                );
                $exceedances->ask($craft, $new);
                $rows[] = ['aircraft' => $craft, 'new' => $new];
            } catch (InputError $e) {
                $bad[] = ['line' => $at.($e->path === '' ? '' : ", {$e->path}"), 'message' => $e->getMessage()];
            } catch (Refused $e) {
                $bad[] = ['line' => $at, 'message' => str_replace(' Nothing was recorded.', '', $e->getMessage())];
            }
        }
        if ($bad !== []) {
            throw Refused::file($bad, 'line');
        }

        return $rows === []
            ? throw Refused::lines('The file has no line in it. Nothing was recorded.', [])
            : new self($rows);
    }

    private static function number(string $field, string $text, Unit $unit): float
    {
        try {
            return Entered::parse($text, $unit)->value;
        } catch (InputError $e) {
            throw InputError::at($field, $e->getMessage());
        }
    }

    private static function instant(string $text): Instant
    {
        try {
            return Instant::parse($text);
        } catch (InputError $e) {
            throw $e->under('at');
        }
    }
}
