<?php

declare(strict_types=1);

namespace App\Now;

use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use App\Floor\Model\Finding;
use App\Shared\Memo;
use Jorvel\Core\Deferrals\CarriedUnder;
use Jorvel\Core\Deferrals\Fits;

/** The one who says under which listed items a finding may be carried, and why not under the others of its chapter. */
final readonly class LoadListed
{
    public function __construct(private Memo $memo) {}

    /** @return list<ListedItem> of a type, in force */
    public function of(int $typeId): array
    {
        return $this->memo->of(
            "listed {$typeId}",
            ['listed_items'],
            static fn(): array => array_values(ListedItem::inForce($typeId)->get()->all()),
        );
    }

    /**
     * Items of a finding's chapter, with what speaks against each: none, and it fits.
     *
     * @param Finding $finding with `aircraft.deferrals.listedItem`
     *
     * @return list<array{ListedItem, list<string>}> those that fit first, codes as {@see Fits::why()} gives them
     */
    public function options(Finding $finding): array
    {
        $text = "{$finding->place} {$finding->extent}";
        $carried = self::carried($finding);
        $out = [];
        foreach ($this->of($finding->aircraft->type_id) as $item) {
            $terms = $item->terms();
            if ($terms->ofFamily($finding->chapter)) {
                $out[] = [
                    $item,
                    Fits::why($terms, $finding->chapter, $text, Fits::position($terms, $text), $carried),
                ];
            }
        }
        usort($out, static fn(array $a, array $b): int => count($a[1]) <=> count($b[1]));

        return $out;
    }

    /** @return list<CarriedUnder> what its aircraft carries */
    public static function carried(Finding $finding): array
    {
        return array_values($finding->aircraft->deferrals->map(static fn(Deferral $d): CarriedUnder => new CarriedUnder(
            (string) $d->id,
            $d->listedItem->code,
            $d->position,
        ))->all());
    }

    /** @return list<ListedItem> those that fit */
    public function fitting(Finding $finding): array
    {
        return array_values(array_map(
            static fn(array $o): ListedItem => $o[0],
            array_filter($this->options($finding), static fn(array $o): bool => $o[1] === []),
        ));
    }
}
