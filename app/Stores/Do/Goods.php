<?php

declare(strict_types=1);

namespace App\Stores\Do;

use App\Crew\Model\Person;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Stores\Model\MoveKind;
use App\Stores\Model\Part;
use App\Stores\Model\PartBatch;
use App\Stores\Model\PartMove;
use App\Stores\Model\PartOrder;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;

/** What comes into the store and leaves it, batch by batch; every piece is accounted for by a move. */
final readonly class Goods
{
    public function __construct(private Clock $clock, private Records $records) {}

    /**
     * Takes pieces in, as a new batch or more of one that is there.
     *
     * @param Day|null $expires last day of the shelf life; null where it has none
     * @param PartOrder|null $order what they were ordered by
     *
     * @throws Refused when the shelf life is over, or the batch is another part's or has another shelf life
     */
    public function receive(
        Person $by,
        Part $part,
        string $batch,
        int $quantity,
        ?Day $expires,
        string $paper,
        ?PartOrder $order,
    ): void {
        if ($expires !== null && $expires->number < $this->clock->today()->number) {
            throw Refused::because(
                "The shelf life of {$batch} ran out on {$expires}. Send it back; nothing was taken in.",
            );
        }
        if ($order !== null && $order->part_id !== $part->id) {
            throw Refused::because('That order is for another part. Nothing was taken in.');
        }
        DB::transaction(function () use ($by, $part, $batch, $quantity, $expires, $paper, $order): void {
            $there = PartBatch::with('part')->firstWhere('batch', $batch);
            if ($there !== null && $there->part_id !== $part->id) {
                throw Refused::because(
                    "Batch {$batch} is {$there->part->number} {$there->part->title}. Look at the label again; "
                        .'nothing was taken in.',
                );
            }
            if ($there !== null && $there->expires?->number !== $expires?->number) {
                throw Refused::because(
                    "Batch {$batch} is in the store "
                        .($there->expires === null
                            ? 'without a shelf life'
                            : "with a shelf life until {$there->expires}")
                        .'. One batch has one; nothing was taken in.',
                );
            }
            $there ??= PartBatch::create([
                'part_id' => $part->id,
                'batch' => $batch,
                'quantity' => 0,
                'expires' => $expires === null ? null : (string) $expires,
            ]);
            $this->move($by, $there, MoveKind::In, $quantity, $paper);
            if ($order !== null) {
                $order->quantity > $quantity
                    ? $order->update(['quantity' => $order->quantity - $quantity])
                    : $order->delete();
            }
        });
    }

    /**
     * A step takes pieces for an aircraft; whether they may be taken is the step's to judge.
     *
     * @throws Refused when others took them meanwhile
     */
    public function take(Person $by, PartBatch $batch, int $quantity, string $for): void
    {
        if ($batch->refresh()->quantity < $quantity) {
            throw Refused::because(
                "Batch {$batch->batch} holds {$batch->quantity} now: others took from it. Nothing was fitted.",
            );
        }
        $this->move($by, $batch, MoveKind::Fitted, -$quantity, $for);
    }

    /**
     * What a step had fitted came off again with the step; it is not in the store, and the store knows what became of
     * it.
     */
    public function cameOff(Person $by, PartBatch $batch, string $said): void
    {
        $this->move($by, $batch->refresh(), MoveKind::Off, 0, $said);
    }

    /** @throws Refused when more comes back than left */
    public function back(Person $by, PartBatch $batch, int $quantity, string $why): void
    {
        DB::transaction(function () use ($by, $batch, $quantity, $why): void {
            $taken = $batch->load('moves')->taken();
            if ($quantity > $taken) {
                throw Refused::because(
                    ($taken === 0 ? 'Nothing' : "Only {$taken}")
                        ." of batch {$batch->batch} left the store. Nothing was entered.",
                );
            }
            $this->move($by, $batch, MoveKind::Back, $quantity, $why);
        });
    }

    /** @throws Refused when there are fewer */
    public function scrap(Person $by, PartBatch $batch, int $quantity, string $why): void
    {
        DB::transaction(function () use ($by, $batch, $quantity, $why): void {
            if ($quantity > $batch->refresh()->quantity) {
                throw Refused::because("Batch {$batch->batch} holds {$batch->quantity}. Nothing was entered.");
            }
            $this->move($by, $batch, MoveKind::Scrapped, -$quantity, $why);
        });
    }

    /** What lies there was counted, and is now what the store says. */
    public function count(Person $by, PartBatch $batch, int $counted, string $why): void
    {
        DB::transaction(function () use ($by, $batch, $counted, $why): void {
            if ($counted === $batch->refresh()->quantity) {
                throw Refused::because("Batch {$batch->batch} holds {$counted} already. Nothing was entered.");
            }
            $this->move($by, $batch, MoveKind::Counted, $counted - $batch->quantity, $why);
        });
    }

    private function move(Person $by, PartBatch $batch, MoveKind $kind, int $quantity, string $paper): void
    {
        $left = $batch->quantity + $quantity;
        $batch->update(['quantity' => $left]);
        PartMove::create([
            'batch_id' => $batch->id,
            'kind' => $kind,
            'quantity' => $quantity,
            'left' => $left,
            'paper' => $paper,
            'person_id' => $by->id,
            'at' => (string) $this->clock->now(),
        ]);
        $this->records->write(
            $by,
            'part.moved',
            "part:{$batch->part_id}",
            ['batch' => $batch->batch, 'kind' => $kind, 'quantity' => $quantity, 'left' => $left, 'paper' => $paper],
        );
    }
}
