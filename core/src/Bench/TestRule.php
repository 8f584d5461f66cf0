<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function array_filter;
use function count;

use Jorvel\Core\Library\Condition;
use Jorvel\Core\Shared\InputError;

/**
 * What a functional test is passed by: all that it judges, so many of some of it, or a condition over it
 * (`a and (b or c)`, the names of its steps).
 */
final readonly class TestRule
{
    /** @param list<string> $of names of the steps of which `$atLeast` must pass; empty where all must */
    private function __construct(public ?int $atLeast, public array $of, public ?Condition $is) {}

    /** Every step that judges something must pass. @pure */
    public static function all(): self
    {
        return new self(null, [], null);
    }

    /**
     * @param list<string> $of
     *
     * @throws InputError at `at_least` for more than there are
     *
     * @pure
     */
    public static function atLeast(int $n, array $of): self
    {
        if ($n < 1 || $n > count($of)) {
            throw InputError::at('at_least', 'must lie between 1 and '.count($of).', as many as are named');
        }

        return new self($n, $of, null);
    }

    /**
     * `TestRule::that('normal and (pump or fall)')`.
     *
     * @throws InputError at `is` for what is no condition
     *
     * @pure
     */
    public static function that(string $is): self
    {
        try {
            return new self(null, [], Condition::of($is));
        } catch (InputError $e) {
            throw $e->under('is');
        }
    }

    /**
     * @param array<string, mixed> $rule as in core/schema/step.json: `at_least` and `of`, or `is`; neither is all
     *
     * @throws InputError at the field
     *
     * @pure
     */
    public static function from(array $rule): self
    {
        return match (true) {
            isset($rule['is'], $rule['at_least']) => throw InputError::at(
                '',
                'has "is" beside "at_least": one of them',
            ),
            isset($rule['is']) => self::that((string) $rule['is']),
            isset($rule['at_least'])
                => self::atLeast((int) $rule['at_least'], array_values(array_map(strval(...), $rule['of'] ?? []))),
            isset($rule['of']) => throw InputError::missing('at_least'),
            default => self::all(),
        };
    }

    /** @return list<string> that it names @pure */
    public function names(): array
    {
        return $this->is === null ? $this->of : $this->is->names;
    }

    /**
     * The verdict of an attempt that went through to its end.
     *
     * A failure beats what could not be judged; what was not reached neither passed nor failed, and a test that was not
     * worked through is not passed.
     *
     * @param list<JudgedStep> $steps of the test, without its set-up and what is put back
     *
     * @return array{Verdict, list<string>} pass, fail or invalid, and the titles of the steps that decided it
     *
     * @pure
     */
    public function judge(array $steps): array
    {
        $named = $this->names();
        $of = $named === []
            ? $steps
            : array_values(array_filter($steps, static fn(JudgedStep $s): bool => in_array($s->id, $named, true)));
        $is = static fn(Verdict ...$v): array => array_values(array_filter(
            $of,
            static fn(JudgedStep $s): bool => in_array($s->verdict, $v, true),
        ));
        $titles = static fn(array $s): array => array_column($s, 'title');
        [$passed, $failed, $invalid] = [
            $is(Verdict::Pass), $is(Verdict::Fail), $is(Verdict::Invalid, Verdict::Marginal),
        ];
        $open = array_values(array_filter($of, static fn(JudgedStep $s): bool => $s->verdict === null));
        $holds = match (true) {
            $this->atLeast !== null => count($passed) >= $this->atLeast,
            $this->is !== null => $this->is->holds(self::passes($of)),
            default => $failed === [] && $invalid === [] && $open === [],
        };

        return match (true) {
            $holds => [Verdict::Pass, []],
            $failed !== [] => [Verdict::Fail, $titles($failed)],
            default => [Verdict::Invalid, $titles([...$invalid, ...$open])],
        };
    }

    /**
     * @param list<JudgedStep> $steps
     *
     * @return array<string, bool>
     */
    private static function passes(array $steps): array
    {
        $out = [];
        foreach ($steps as $step) {
            if ($step->id !== null) {
                $out[$step->id] = $step->verdict === Verdict::Pass;
            }
        }

        return $out;
    }
}
