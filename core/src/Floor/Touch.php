<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/**
 * What somebody's hands, a device or a movement may meet: systems of the aircraft, in a zone of it.
 *
 * Whatever names no systems is taken to touch everything in its zone, until it says otherwise.
 */
final readonly class Touch
{
    /** Every system. */
    public const ALL = '*';

    /** The zone that lies in every other. */
    public const WHOLE = 'whole aircraft';

    /** @param list<string> $systems none: everything in the zone */
    public function __construct(public array $systems, public string $zone) {}

    /**
     * Whether two of them can meet; the same both ways.
     *
     * @pure
     */
    public function meets(self $other): bool
    {
        if (in_array(self::ALL, $this->systems, true) || in_array(self::ALL, $other->systems, true)) {
            return true;
        }
        if ($this->systems !== [] && $other->systems !== []) {
            return array_intersect($this->systems, $other->systems) !== [];
        }

        return $this->zone === $other->zone || $this->zone === self::WHOLE || $other->zone === self::WHOLE;
    }
}
