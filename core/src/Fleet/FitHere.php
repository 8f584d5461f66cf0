<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

/**
 * Whether a component goes to a place on an aircraft: where its kind and its part number have stood on an aircraft of
 * the type before, nothing else stands there, and its tag says that it may be fitted. Nothing is fitted to a place that
 * nobody knows.
 */
final readonly class FitHere
{
    /**
     * @param string $id of the component
     * @param string|null $fittedAt the aircraft that it is fitted to now
     * @param bool $carried it is taken from there in the same act
     * @param list<string> $follows the aircraft's counters by which it counts
     */
    private function __construct(
        private string $id,
        private string $partNo,
        private ComponentTag $tag,
        private ?string $fittedAt,
        private bool $carried,
        private array $follows,
    ) {}

    /**
     * A component that lies in the store.
     *
     * @param list<string> $follows
     *
     * @pure
     */
    public static function stored(string $id, string $partNo, ComponentTag $tag, array $follows): self
    {
        return new self($id, $partNo, $tag, null, false, $follows);
    }

    /**
     * A component that is fitted to an aircraft.
     *
     * @param bool $carried it is taken from there in the same act
     * @param list<string> $follows
     *
     * @pure
     */
    public static function fitted(string $id, string $partNo, string $to, bool $carried, array $follows): self
    {
        return new self($id, $partNo, ComponentTag::Serviceable, $to, $carried, $follows);
    }

    /**
     * The first reason against a place; null where it goes there.
     *
     * @param array<string, list<string>> $places part numbers that have stood at each place for its kind on this type
     * @param string|null $there id of what is fitted at the place now
     * @param list<string> $counters that the aircraft counts
     *
     * @pure
     */
    public function against(array $places, string $position, ?string $there, array $counters): ?NotHere
    {
        return match (true) {
            $there === $this->id => NotHere::There,
            $this->fittedAt !== null && ! $this->carried => NotHere::Elsewhere,
            $there !== null => NotHere::Taken,
            $this->tag !== ComponentTag::Serviceable => NotHere::Tagged,
            array_diff($this->follows, $counters) !== [] => NotHere::NoCounter,
            $places === [] => NotHere::NoKind,
            ! isset($places[$position]) => NotHere::NoPlace,
            ! in_array($this->partNo, array_merge(...array_values($places)), true) => NotHere::WrongNumber,
            default => null,
        };
    }
}
