<?php

declare(strict_types=1);

namespace App\Stores\Model;

use App\Shared\AsDay;
use App\Shared\Model;
use App\Shared\Words;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Query\JoinClause;
use Jorvel\Core\Bench\Instrument;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Unit;

/**
 * A measuring tool with its calibration.
 *
 * @property int $id
 * @property string $code
 * @property string $title
 * @property string $kind `torque wrench`, `pressure gauge` …
 * @property string $unit
 * @property float $resolution
 * @property float $uncertainty
 * @property float $low
 * @property float $high
 * @property Day $cal_due
 * @property ToolState $state
 * @property string $place
 * @property-read ToolLoan|null $loan where it is out now
 */
final class Tool extends Model
{
    protected $casts = [
        'cal_due' => AsDay::class, 'state' => ToolState::class,
        'resolution' => 'float', 'uncertainty' => 'float', 'low' => 'float', 'high' => 'float'];

    /** @return HasOne<ToolLoan, $this> */
    public function loan(): HasOne
    {
        return $this->hasOne(ToolLoan::class)->whereNull('in_at');
    }

    /**
     * @return Builder<self> with the card that each is out on: `out_on`, its id, and `out_number`; null in the store
     */
    public static function withCardOutOn(): Builder
    {
        $query = self::query();
        $query->leftJoin(
            'tool_loans',
            static fn(JoinClause $on) => $on->on('tool_loans.tool_id', '=', 'tools.id')->whereNull('tool_loans.in_at'),
        )
            ->leftJoin('cards', 'cards.id', '=', 'tool_loans.card_id')
            ->select(['tools.*', 'cards.id as out_on', 'cards.number as out_number']);

        return $query;
    }

    public function instrument(): Instrument
    {
        return Instrument::of(
            Unit::parse($this->unit),
            $this->resolution,
            $this->uncertainty,
            $this->low,
            $this->high,
            $this->cal_due,
        );
    }

    /** Why it must not be used today; null when it may be. */
    public function unusable(Day $today): ?string
    {
        return match (true) {
            $this->state === ToolState::OutOfUse => 'is out of use',
            $this->state === ToolState::Recalled => 'is recalled: it was found out of tolerance',
            $this->state === ToolState::AtCalibration => 'is away for calibration',
            $this->cal_due->number < $today->number
                => 'has no valid calibration: it ran out on '.Words::day($this->cal_due, $today),
            default => null,
        };
    }
}
