<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Library\Model\CardTemplate;
use App\Library\Model\CardVersion;
use App\Library\Show\View\BulkRow;
use App\Library\Show\View\BulkView;
use App\Shared\Refused;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** One thing put in place of another in many cards at once: looked at first, then a draft of each, to be checked. */
final readonly class BulkEdit
{
    /** What may be changed: the field of a card, and those of a step, that hold it. */
    public const WHAT = ['tool_kind', 'part', 'product', 'section'];

    public function __construct(private CardDesk $desk) {}

    public function look(AircraftType $type, string $what, string $from, string $to): BulkView
    {
        $touched = $this->touched($type, $what, $from, $to);
        $rows = $touched->map(static function (CardTemplate $t) use ($what, $from, $to): BulkRow {
            $open = CardVersion::openOf($t->type_id, $t->code);

            return new BulkRow(
                $t->code,
                $t->title,
                self::count($t, $what, $from).' × '.$from,
                $to,
                $open === null ? null : 'has a draft already; it is left alone',
            );
        });
        $many = $rows->whereNull('why')->count();

        return new BulkView(
            $rows->isEmpty()
                ? "No card of the {$type->code} has \"{$from}\"."
                : Words::count($many, 'card gets a draft', 'cards get a draft each').'. Nothing is in force before '
                    .'somebody else has checked it.',
            array_values($rows->all()),
        );
    }

    /** @throws Refused when there is nothing to change */
    public function apply(Person $by, AircraftType $type, string $what, string $from, string $to): BulkView
    {
        $view = $this->look($type, $what, $from, $to);
        $codes = array_column(array_filter($view->rows, static fn(BulkRow $r): bool => $r->why === null), 'code');
        if ($codes === []) {
            throw Refused::because("{$view->sentence} Nothing was changed.");
        }
        DB::transaction(function () use ($by, $type, $what, $from, $to, $codes): void {
            foreach ($this->touched($type, $what, $from, $to)->whereIn('code', $codes) as $template) {
                $body = self::replaced(TemplateFile::body($template), $what, $from, $to);
                $this->desk->save($by, $type, $body, "{$from} replaced by {$to}", null);
            }
        });

        return $view;
    }

    /** @return Collection<int, CardTemplate> */
    private function touched(AircraftType $type, string $what, string $from, string $to): Collection
    {
        return CardTemplate::with('manual')->where('type_id', $type->id)->orderBy('code')->get()->toBase()
            ->filter(static fn(CardTemplate $t): bool => $from !== $to && self::count($t, $what, $from) > 0)->values();
    }

    private static function count(CardTemplate $template, string $what, string $from): int
    {
        $many = 0;
        self::walk(TemplateFile::body($template), $what, static function (mixed $value) use ($from, &$many): mixed {
            $many += $value === $from ? 1 : 0;

            return $value;
        });

        return $many;
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return array<string, mixed>
     */
    private static function replaced(array $body, string $what, string $from, string $to): array
    {
        return self::walk($body, $what, static fn(mixed $value): mixed => $value === $from ? $to : $value);
    }

    /**
     * @param array<array-key, mixed> $of
     * @param callable(mixed): mixed $with
     *
     * @return array<array-key, mixed>
     */
    private static function walk(array $of, string $what, callable $with): array
    {
        $out = [];
        foreach ($of as $key => $value) {
            if ($key === 'parts' && $what === 'part' && is_array($value)) {
                $keys = array_map(static fn(int|string $k): string => (string) $with((string) $k), array_keys($value));
                $out[$key] = array_combine($keys, array_values($value));
            } elseif (is_array($value)) {
                $out[$key] = self::walk($value, $what, $with);
            } else {
                $out[$key] = $key === $what ? $with($value) : $value;
            }
        }

        return $out;
    }
}
