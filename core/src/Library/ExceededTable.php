<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;
use Jorvel\Core\Shared\Unit;

/** What is done when a limit was exceeded, by how far and for how long: the table of the approved data. */
final readonly class ExceededTable
{
    /**
     * @param list<string> $positions of which it holds: engine 1, engine 2
     * @param list<ExceededRow> $rows the mildest first
     */
    private function __construct(
        public string $quantity,
        public string $chapter,
        public Unit $unit,
        public bool $over,
        public float $limit,
        public array $positions,
        public array $rows,
    ) {}

    /**
     * @throws InputError for a first row that leaves something out, or a row milder than the one before it
     *
     * @pure
     */
    public static function from(Input $in): self
    {
        $rows = $in->each('rows', ExceededRow::from(...));
        if ($rows[0]->beyond > 0 || $rows[0]->seconds > 0) {
            throw InputError::at($in->path('rows').'.0', 'must begin at the limit, beyond 0 for 0 s: no case is left out');
        }
        foreach (array_slice($rows, 1) as $i => $row) {
            $before = $rows[$i];
            if ($row->beyond < $before->beyond && $row->seconds < $before->seconds) {
                throw InputError::at($in->path('rows').'.'.($i + 1), 'is milder than the row before it');
            }
        }

        return new self(
            $in->string('quantity'),
            $in->string('chapter'),
            $in->unit('unit'),
            $in->string('side') === 'over',
            $in->number('limit'),
            $in->strings('positions'),
            $rows,
        );
    }

    /**
     * The row that holds, which is the last one that was reached; null while the limit was not passed.
     *
     * @param float $peak in the table's unit
     * @param float $seconds for which the limit was passed, 0 or more
     *
     * @pure
     */
    public function row(float $peak, float $seconds): ?ExceededRow
    {
        $within = $this->over ? Near::atMost($peak, $this->limit) : Near::atLeast($peak, $this->limit);
        if ($within) {
            return null;
        }
        $noise = Near::noise($this->limit);
        $holds = array_filter($this->rows, fn(ExceededRow $r): bool
            => $this->beyond($peak) >= $r->beyond - $noise && Near::atLeast($seconds, $r->seconds));

        return end($holds) ?: null;
    }

    /** How far a value lies beyond the limit; below 0 within it. @pure */
    public function beyond(float $peak): float
    {
        return $this->over ? $peak - $this->limit : $this->limit - $peak;
    }
}
