<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** In which functional test of its card a step stands, and where in it. */
final readonly class InTest
{
    /** @param string $key of the test on its card, its position with it */
    public function __construct(public string $key, public TestPart $part) {}

    /**
     * @param array<string, mixed> $spec of a step as it stands on a card
     *
     * @pure
     */
    public static function of(array $spec): ?self
    {
        return isset($spec['test'])
            ? new self((string) $spec['test']['key'], TestPart::from($spec['test']['part']))
            : null;
    }
}
