<?php

declare(strict_types=1);

namespace App\Bench;

use App\Floor\Model\Card;
use App\Floor\Model\Exchange;
use Jorvel\Core\Shared\Instant;

/** When units of which systems were changed: what was known of them begins anew. */
final readonly class UnitChanges
{
    /** @param array<string, list<Instant>> $at by aircraft and system */
    private function __construct(private array $at) {}

    /** @param list<int> $aircraft ids */
    public static function on(array $aircraft): self
    {
        $exchanges = Exchange::whereIn('aircraft_id', $aircraft)->where('stands', true)->whereNotNull('on_at')
            ->orderBy('on_at')->get(['card_id', 'aircraft_id', 'on_at']);
        $cards = Card::with(['template', 'item', 'finding'])->whereIn('id', $exchanges->pluck('card_id')->unique())
            ->get()->keyBy('id');
        $at = [];
        foreach ($exchanges as $e) {
            $card = $cards->get($e->card_id);
            if ($card !== null && $e->on_at !== null) {
                $at[self::key($card, $e->aircraft_id)][] = $e->on_at;
            }
        }

        return new self($at);
    }

    /** @return list<Instant> of the system that a card works on, the first first */
    public function ofSystem(Card $card): array
    {
        return $this->at[self::key($card, $card->aircraft_id)] ?? [];
    }

    /** By aircraft and the first two figures of the chapter. */
    private static function key(Card $card, int $aircraft): string
    {
        return "{$aircraft} ".substr($card->chapter(), 0, 2);
    }
}
