<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

/** One change of a control's mode, and what the engine did in the time that it was watched. */
final readonly class ChangeOver
{
    /**
     * @param float $at seconds of the record
     * @param string $to the mode it went to
     * @param float $peakHigh reading, not a difference
     * @param float $excursion from the reference, signed, the larger in size; a rise wins a tie
     * @param float|null $settled mean of the last quarter of the watch; null where nobody saw it, or the watch was cut
     *   short
     * @param float|null $partnerExcursion from the partner's own reference; null without a partner
     */
    public function __construct(
        public float $at,
        public string $to,
        public Verdict $verdict,
        public float $peakHigh,
        public float $peakLow,
        public float $excursion,
        public ?float $settled,
        public ?float $partnerExcursion,
        public bool $unusual,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            't' => $this->at,
            'to' => $this->to,
            'verdict' => $this->verdict->value,
            'peak_high' => $this->peakHigh,
            'peak_low' => $this->peakLow,
            'excursion' => $this->excursion,
            'settled' => $this->settled,
            'partner_excursion' => $this->partnerExcursion,
            'unusual' => $this->unusual,
        ];
    }
}
