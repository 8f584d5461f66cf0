<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

/** A moment in UTC, read and written as RFC 3339 with `Z`; to the microsecond. */
final readonly class Instant implements \JsonSerializable, \Stringable
{
    private function __construct(private \DateTimeImmutable $at) {}

    /**
     * @throws InputError for any other form or offset, or an impossible date or time
     *
     * @pure
     */
    public static function parse(string $text): self
    {
        if (preg_match('/^(\d{4}-\d{2}-\d{2})T(\d{2}):(\d{2}):(\d{2})(?:\.(\d{1,9}))?Z$/D', $text, $m) !== 1) {
            throw InputError::at('', 'must be an instant as YYYY-MM-DDThh:mm:ssZ');
        }
        Day::parse($m[1]);
        if ((int) $m[2] > 23 || (int) $m[3] > 59 || (int) $m[4] > 59) {
            throw InputError::at('', "there is no time {$m[2]}:{$m[3]}:{$m[4]}");
        }
        $micro = substr(str_pad($m[5] ?? '', 6, '0'), 0, 6);

        return new self(new \DateTimeImmutable("{$m[1]}T{$m[2]}:{$m[3]}:{$m[4]}.{$micro}+00:00"));
    }

    /** @pure */
    public static function fromEpoch(int $seconds): self
    {
        return new self(new \DateTimeImmutable('@'.$seconds));
    }

    /**
     * The local date at this moment.
     *
     * @pure
     */
    public function dayIn(\DateTimeZone $zone): Day
    {
        return Day::parse($this->at->setTimezone($zone)->format('Y-m-d'));
    }

    /**
     * The first instant whose local date in a zone is later than the given one.
     *
     * Walks the zone's own transitions, so that a midnight that does not exist, or comes twice, or a skipped date, is
     * right.
     *
     * @pure
     */
    public static function firstAfter(Day $day, \DateTimeZone $zone): self
    {
        $midnight = ($day->number + 1) * 86400;
        $from = $midnight - 3 * 86400;
        $steps = $zone->getTransitions($from, $midnight + 3 * 86400);
        foreach ($steps as $i => $step) {
            $at = max($step['ts'], $midnight - $step['offset']);
            if (! isset($steps[$i + 1]) || $at < $steps[$i + 1]['ts']) {
                return self::fromEpoch($at);
            }
        }

        return self::fromEpoch($midnight);
    }

    /** @pure */
    public function isBefore(self $other): bool
    {
        return $this->at < $other->at;
    }

    /** @pure */
    public function epoch(): int
    {
        return $this->at->getTimestamp();
    }

    public function __toString(): string
    {
        return $this->at->format('Y-m-d\TH:i:s\Z');
    }

    /** As text, in JSON too. @pure */
    public function jsonSerialize(): string
    {
        return (string) $this;
    }
}
