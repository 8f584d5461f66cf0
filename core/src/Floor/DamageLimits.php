<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** What the approved data allows of a damage at its place: at most so long and deep, at least so far from others. */
final readonly class DamageLimits
{
    /**
     * @param float|null $length at most, mm; null where the data names none
     * @param float|null $depth at most, mm
     * @param float|null $edge at least, mm
     * @param float|null $fastener at least, mm
     */
    public function __construct(
        public ?float $length = null,
        public ?float $depth = null,
        public ?float $edge = null,
        public ?float $fastener = null,
    ) {}

    /**
     * What of a damage is not allowed; none where all is. What has a limit and was not measured is `unmeasured:<name>`.
     *
     * @return list<string> of `length`, `depth`, `edge`, `fastener`, in this order
     *
     * @pure
     */
    public function against(DamageSize $size): array
    {
        $out = [];
        foreach (['length' => 1, 'depth' => 1, 'edge' => -1, 'fastener' => -1] as $name => $sign) {
            $limit = $this->{$name};
            $is = $size->{$name};
            if ($limit === null) {
                continue;
            }
            if ($is === null) {
                $out[] = "unmeasured:{$name}";
            } elseif ($sign * ($is - $limit) > 0) {
                $out[] = $name;
            }
        }

        return $out;
    }
}
