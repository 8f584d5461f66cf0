<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function array_diff;
use function array_filter;
use function array_keys;
use function array_map;
use function count;

use Jorvel\Core\Shared\InputError;

/** What a built-in test says, channel by channel: each passed, or its code; both must say the same. */
final readonly class SelfTest
{
    /**
     * @param array<string, string|null> $codes by channel; null where it passed
     * @param bool $agree the channels say the same
     */
    private function __construct(public Verdict $verdict, public array $codes, public bool $agree) {}

    /**
     * @param list<string> $channels
     * @param array<string, string> $said by channel: `pass`, or the code that it shows
     * @param array<string, bool> $screens whether each screen showed what it should
     *
     * @throws InputError at `said` for a channel without a result, or one that there is not
     *
     * @pure
     */
    public static function of(array $channels, array $said, array $screens = []): self
    {
        $keys = array_map(strval(...), array_keys($said));
        foreach (array_diff($keys, $channels) as $name) {
            throw InputError::notAmong('said', 'channels', $name);
        }
        $codes = [];
        foreach ($channels as $channel) {
            $is = trim($said[$channel] ?? '');
            if ($is === '') {
                throw InputError::at('said', "has no result of channel {$channel}");
            }
            $codes[$channel] = $is === 'pass' ? null : $is;
        }
        $agree = count(array_unique(array_map(static fn(?string $c): string => $c ?? 'pass', $codes))) === 1;
        $good = array_filter($codes, is_string(...)) === [] && ! in_array(false, $screens, true);

        return new self($good ? Verdict::Pass : Verdict::Fail, $codes, $agree);
    }
}
