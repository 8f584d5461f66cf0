<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

/**
 * What somebody does on a card: works it, inspects it independently, or certifies. The authority needed has the same
 * name.
 */
enum Role: string
{
    case Perform = 'perform';
    case Duplicate = 'duplicate';
    case Certify = 'certify';

    /**
     * The role that the same person must not have on the same card; null where there is none.
     *
     * @pure
     */
    public function excludes(): ?self
    {
        return match ($this) {
            self::Perform => self::Duplicate,
            self::Duplicate => self::Perform,
            self::Certify => null,
        };
    }

    /**
     * Whether it judges the work of others, so that nobody gives the authority to it alone.
     *
     * @pure
     */
    public function judges(): bool
    {
        return $this !== self::Perform;
    }
}
