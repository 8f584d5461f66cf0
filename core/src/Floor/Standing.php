<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** Something on an aircraft that says no to a system's being energised, moved or pressurised: a device, an open line, a person. */
final readonly class Standing
{
    /**
     * @param string $kind `device`, `open_line` or `person`
     * @param string $name of the device, or of the person
     * @param list<string> $systems it stands against; the name `*` is every system
     */
    public function __construct(public string $kind, public string $id, public string $name, public string $place, public array $systems) {}

    /**
     * @param list<string> $systems
     *
     * @pure
     */
    public function against(array $systems): bool
    {
        return $systems !== [] && (in_array('*', $this->systems, true) || array_intersect($this->systems, $systems) !== []);
    }
}
