<?php

declare(strict_types=1);

namespace Jorvel\Core\Release;

use Jorvel\Core\Shared\InputError;

/** What release asks of one finding. */
final readonly class FindingState
{
    private function __construct(public string $id, public bool $open, public bool $deferred, public bool $valid) {}

    /**
     * @param string $state `open`, `fixed` or `deferred`
     * @param bool|null $deferralValid needed for a deferred one
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(string $id, string $state, ?bool $deferralValid = null): self
    {
        if ($state === 'deferred' && $deferralValid === null) {
            throw InputError::missing('deferral_valid');
        }

        return new self(
            $id,
            $state === 'open',
            $state === 'deferred',
            $state === 'deferred' && $deferralValid === true,
        );
    }
}
