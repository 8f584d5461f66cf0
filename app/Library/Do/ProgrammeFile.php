<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\AircraftType;
use App\Fleet\Model\ComponentTenure;
use App\Library\Model\CardTemplate;
use App\Library\Model\ProgrammeItem;
use App\Shared\Csv;
use App\Shared\JsonFile;
use App\Shared\Refused;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Collection;
use Jorvel\Core\Contract\Schema;
use Jorvel\Core\Fleet\DueKind;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/**
 * A programme as a file, in and out: JSON (`{type, items: […]}`, core/schema/programme-item.json) or CSV (one line a
 * limit). It is checked whole; each bad item is named by its line in the file and its path.
 */
final readonly class ProgrammeFile
{
    private const ITEM = [
        'type', 'code', 'title', 'chapter', 'rule', 'rebase', 'card', ...ProgrammeItem::OPTIONAL, 'cards',
    ];

    private const LIMIT = [
        'unit',
        'interval',
        'threshold',
        'tolerance_abs',
        'tolerance_pct',
        'tolerance_cap',
        'early_abs',
        'early_pct',
        'early_cap',
    ];

    /** @param Collection<int, ProgrammeItem> $items not saved */
    private function __construct(public AircraftType $type, public Collection $items) {}

    /** @throws Refused with every line that is wrong */
    public static function read(string $text): self
    {
        $data = JsonFile::read($text);
        try {
            Schema::check('programme', $data);
        } catch (InputError $e) {
            throw Refused::lines(
                'The file is not a programme. Nothing was changed.',
                [['line' => $e->path === '' ? 'file' : $e->path, 'message' => $e->getMessage()]],
            );
        }

        return self::check(
            $data->type,
            'type',
            $data->items,
            static fn(int $i, string $path): string
                => self::line($text, $i).", items.{$i}".($path === '' ? '' : '.'.$path),
        );
    }

    /** @throws Refused with every line that is wrong */
    public static function readCsv(string $text): self
    {
        $lines = Csv::read($text);
        $head = array_map(static fn(string $h): string => strtolower(trim($h)), array_shift($lines) ?? []);
        $wrong = array_diff($head, self::ITEM, self::LIMIT);
        $lacking = array_diff(
            ['type', 'code', 'title', 'chapter', 'rule', 'rebase', 'card', 'unit', 'interval'],
            $head,
        );
        if ($wrong !== [] || $lacking !== []) {
            throw Refused::lines(
                'The file is not a programme. Nothing was changed.',
                [[
                    'line' => 'line 1',
                    'message' => $lacking !== [] ? 'lacks the columns '.implode(', ', $lacking) : 'has columns that '
                        .'a programme does not have: '.implode(', ', $wrong),
                ]],
            );
        }
        $items = $at = $types = $bad = [];
        foreach ($lines as $i => $cells) {
            try {
                [$type, $item, $limit] = self::cells($head, $cells);
                $types[$type] ??= $i + 2;
                $open = count($items) - 1;
                if ($open >= 0 && $items[$open]->code === $item->code) {
                    self::requireSame($items[$open], $item);
                    $items[$open]->limits[] = $limit;
                } else {
                    $item->limits = [$limit];
                    $items[] = $item;
                    $at[] = $i + 2;
                }
            } catch (InputError $e) {
                $bad[] = [
                    'line' => 'line '.($i + 2).($e->path === '' ? '' : ", {$e->path}"),
                    'message' => $e->getMessage(),
                ];
            }
        }
        if (count($types) > 1) {
            $bad[] = [
                'line' => 'line '.array_values($types)[1].', type',
                'message' => 'is another type than the lines above; one file is for one type',
            ];
        }
        if ($bad !== [] || $items === []) {
            throw Refused::file($bad === [] ? [['line' => 'file', 'message' => 'has no item']] : $bad, 'item');
        }

        return self::check(
            (string) array_key_first($types),
            "line {$at[0]}, type",
            $items,
            static fn(int $i, string $path): string => "line {$at[$i]}".($path === '' ? '' : ", {$path}"),
        );
    }

    /** Brings its items in force, each with its cards; what the file does not name stays as it is. */
    public function save(): void
    {
        foreach ($this->items as $item) {
            $saved = ProgrammeItem::updateOrCreate(
                ['type_id' => $item->type_id, 'code' => $item->code],
                $item->only([
                    'template_id', 'title', 'chapter', 'rule', 'rebase', 'limits', ...ProgrammeItem::OPTIONAL,
                ]),
            );
            $saved->set()->sync($item->set->mapWithKeys(
                static fn(CardTemplate $t, int $n): array => [$t->id => ['n' => $n + 1]],
            ));
        }
    }

    /** The type's programme as it stands, to be read again by {@see read()}. */
    public static function json(AircraftType $type): string
    {
        $items = $type->programme()->with(['template', 'set'])->get()->map(self::row(...))->all();

        return json_encode(
            ['type' => $type->code, 'items' => $items],
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        )."\n";
    }

    /** The same as CSV, to be read again by {@see readCsv()}. */
    public static function csv(AircraftType $type): string
    {
        $rows = [];
        foreach ($type->programme()->with(['template', 'set'])->get() as $item) {
            foreach ($item->limits as $l) {
                $rows[] = [
                    $type->code, $item->code, $item->title, $item->chapter, $item->rule, $item->rebase,
                    $item->template->code, $item->component, $item->phase ? 'yes' : '', $item->withdrawn ? 'yes' : '',
                    implode(' ', $item->includes ?? []), self::pairs($item->harsh ?? []), $item->hours,
                    implode(' ', $item->access ?? []), self::pairs($item->configuration ?? []),
                    $item->line?->value, $item->validity, $item->from === null ? null : (string) $item->from,
                    $item->phase_in, $item->wash ? 'yes' : '', $item->set->pluck('code')->implode(' '),
                    $l['unit'], $l['interval'], $l['threshold'] ?? null,
                    ...array_map(
                        static fn(string $k): mixed => $l['tolerance'][$k] ?? null,
                        ['abs', 'pct', 'cap'],
                    ), ...array_map(static fn(string $k): mixed => $l['early'][$k] ?? null, ['abs', 'pct', 'cap']),
                ];
            }
        }

        return Csv::write([...self::ITEM, ...self::LIMIT], $rows);
    }

    /** @return array<string, mixed> an item as the schema has it, without what is at its default */
    public static function row(ProgrammeItem $item): array
    {
        return array_filter([
            'code' => $item->code, 'title' => $item->title, 'chapter' => $item->chapter, 'rule' => $item->rule,
            'rebase' => $item->rebase, 'limits' => $item->limits, 'card' => $item->template->code,
            'component' => $item->component, 'phase' => $item->phase ?: null, 'withdrawn' => $item->withdrawn ?: null,
            'includes' => $item->includes ?: null, 'harsh' => $item->harsh ?: null, 'hours' => $item->hours,
            'access' => $item->access ?: null, 'configuration' => $item->configuration ?: null,
            'line' => $item->line?->value, 'validity' => $item->validity,
            'from' => $item->from === null ? null : (string) $item->from, 'phase_in' => $item->phase_in,
            'wash' => $item->wash ?: null,
            'cards' => array_values($item->set->pluck('code')->all()) ?: null,
        ], static fn(mixed $v): bool => $v !== null);
    }

    /**
     * @param list<mixed> $rows
     * @param callable(int, string): string $place names an item's place in the file
     */
    private static function check(string $code, string $typeAt, array $rows, callable $place): self
    {
        $type = AircraftType::firstWhere('code', $code) ?? throw Refused::lines(
            'The programme is for a type that is not here. Nothing was changed.',
            [['line' => $typeAt, 'message' => "no aircraft type \"{$code}\""]],
        );
        $templates = CardTemplate::where('type_id', $type->id)->get()->keyBy('code');
        $known = $type->programme()->pluck('code')->all();
        foreach ($rows as $row) {
            $known[] = is_string($row->code ?? null) ? $row->code : '';
        }
        $counters = self::counters($type);
        $bad = $items = $seen = [];
        foreach ($rows as $i => $row) {
            $faults = Schema::faults('programme-item', $row) ?: self::faults(
                $row,
                $type,
                $templates,
                $seen,
                $known,
                $counters,
            );
            foreach ($faults as $e) {
                $bad[] = ['line' => $place($i, $e->path), 'message' => $e->getMessage()];
            }
            if (is_string($row->code ?? null)) {
                $seen[$row->code] = true;
            }
            $items[] = $row;
        }

        return $bad === [] ? new self(
            $type,
            collect($items)->map(static fn(\stdClass $row): ProgrammeItem => self::item($row, $type, $templates)),
        ) : throw Refused::file($bad, 'fault');
    }

    /**
     * What an item of the right shape has against it; all of it.
     *
     * @param Collection<string, CardTemplate> $templates by code
     * @param array<string, true> $seen codes of the items before it
     * @param list<string> $known codes that `includes` may name
     * @param array<string, list<string>> $counters every aircraft or component has, by kind of component ('' for the
     *   aircraft)
     *
     * @return list<InputError>
     */
    private static function faults(
        \stdClass $row,
        AircraftType $type,
        Collection $templates,
        array $seen,
        array $known,
        array $counters,
    ): array {
        $faults = [];
        if (isset($seen[$row->code])) {
            $faults[] = InputError::usedTwice('code', $row->code);
        }
        try {
            DueKind::item(Input::of((object) [
                'rule' => $row->rule,
                'rebase' => $row->rebase,
                'limits' => $row->limits,
            ]));
        } catch (InputError $e) {
            $faults[] = $e;
        }
        if (! $templates->has($row->card)) {
            $faults[] = InputError::at('card', "there is no card template \"{$row->card}\" for the {$type->code}");
        }
        foreach ($row->cards ?? [] as $i => $code) {
            if (! $templates->has($code)) {
                $faults[] = InputError::at("cards.{$i}", "there is no card template \"{$code}\" for the {$type->code}");
            } elseif ($code === $row->card) {
                $faults[] = InputError::at("cards.{$i}", "is the item's own card, which closes the others");
            } elseif ($templates[$code]->makes !== null) {
                $faults[] = InputError::at("cards.{$i}", 'is a card that a visit makes by itself');
            }
        }
        $component = $row->component ?? null;
        foreach ($row->limits as $i => $limit) {
            $has = $counters[$component ?? ''] ?? null;
            if (
                $has !== null
                && ! in_array($limit->unit, ['days', 'months'], true)
                && ! in_array($limit->unit, $has, true)
            ) {
                $faults[] = InputError::at(
                    "limits.{$i}.unit",
                    $component === null
                        ? "not every {$type->code} has a counter \"{$limit->unit}\""
                        : "not every {$component} on the {$type->code} has a counter \"{$limit->unit}\"",
                );
            }
        }
        $faults = [...$faults, ...self::ofLine($row)];
        foreach ($row->includes ?? [] as $i => $code) {
            if (! in_array($code, $known, true) || $code === $row->code) {
                $faults[] = InputError::at("includes.{$i}", "there is no other item \"{$code}\"");
            }
        }
        return $faults;
    }

    /**
     * What is done on the line has nothing to do with a visit, and what comes into force has a day that there is.
     *
     * @return list<InputError>
     */
    private static function ofLine(\stdClass $row): array
    {
        $faults = [];
        if (isset($row->line)) {
            foreach (['component', 'phase', 'includes', 'access', 'cards', 'from', 'phase_in', 'wash'] as $field) {
                if (isset($row->{$field})) {
                    $faults[] = InputError::at($field, 'has no meaning for a check on the line');
                }
            }
        } elseif (isset($row->validity)) {
            $faults[] = InputError::at('validity', 'is of a check on the line; this item falls due');
        }
        if (isset($row->phase_in) && ! isset($row->from)) {
            $faults[] = InputError::missing('from');
        }
        try {
            isset($row->from) && Day::parse($row->from);
        } catch (InputError $e) {
            $faults[] = $e->under('from');
        }

        return $faults;
    }

    /**
     * @param \stdClass $row of which nothing is wrong
     * @param Collection<string, CardTemplate> $templates by code
     */
    private static function item(\stdClass $row, AircraftType $type, Collection $templates): ProgrammeItem
    {
        $array = static fn(mixed $v): mixed => json_decode((string) json_encode($v), true);

        $item = new ProgrammeItem([
            'type_id' => $type->id, 'template_id' => $templates[$row->card]->id, 'code' => $row->code,
            'title' => $row->title, 'chapter' => $row->chapter,
            'rule' => $row->rule, 'rebase' => $row->rebase, 'limits' => $array($row->limits),
            'component' => $row->component ?? null, 'phase' => $row->phase ?? false,
            'withdrawn' => $row->withdrawn ?? false,
            'includes' => $row->includes ?? [], 'harsh' => $array($row->harsh ?? null), 'hours' => $row->hours ?? null,
            'access' => $row->access ?? [], 'configuration' => $array($row->configuration ?? null),
            'line' => $row->line ?? null, 'validity' => $row->validity ?? (isset($row->line) ? 0 : null),
            'from' => $row->from ?? null, 'phase_in' => $row->phase_in ?? null,
            'wash' => $row->wash ?? false,
        ]);

        return $item->setRelation('set', new EloquentCollection(array_map(
            static fn(string $code): CardTemplate => $templates[$code],
            $row->cards ?? [],
        )));
    }

    /** @return array<string, list<string>> */
    private static function counters(AircraftType $type): array
    {
        $out = [];
        $both = static fn(?array $have, array $more): array
            => $have === null ? $more : array_values(array_intersect($have, $more));
        foreach (Aircraft::where('type_id', $type->id)->get(['counters']) as $craft) {
            $out[''] = $both($out[''] ?? null, array_keys($craft->counters));
        }
        $fitted = ComponentTenure::with('component')->whereNull('to_date')
            ->whereIn('aircraft_id', Aircraft::where('type_id', $type->id)->select('id'))
            ->get();
        foreach ($fitted as $tenure) {
            $kind = $tenure->component->kind;
            $out[$kind] = $both($out[$kind] ?? null, array_keys($tenure->own));
        }

        return $out;
    }

    /**
     * @param list<string> $head
     * @param list<string> $cells
     *
     * @return array{string, \stdClass, \stdClass} type, item without limits, limit
     */
    private static function cells(array $head, array $cells): array
    {
        if (count($cells) !== count($head)) {
            throw InputError::at('', 'has '.count($cells).' cells; '.count($head).' are wanted');
        }
        $row = array_map(trim(...), array_combine($head, $cells));
        $item = (object) array_filter(
            array_intersect_key($row, array_flip([
                'code', 'title', 'chapter', 'rule', 'rebase', 'card', 'component', 'line', 'from',
            ])),
            static fn(string $v): bool => $v !== '',
        );
        foreach (['phase', 'withdrawn', 'wash'] as $field) {
            if (($row[$field] ?? '') !== '') {
                $item->{$field} = ['yes' => true, 'no' => false][$row[$field]]
                    ?? throw InputError::at($field, 'must be yes, no, or empty');
            }
        }
        foreach (['includes', 'access', 'cards'] as $field) {
            if (($row[$field] ?? '') !== '') {
                $item->{$field} = preg_split('/\s+/', $row[$field]);
            }
        }
        foreach (['harsh', 'configuration'] as $field) {
            if (($row[$field] ?? '') !== '') {
                $item->{$field} = self::unpair($field, $row[$field]);
            }
        }
        foreach (['hours', 'validity', 'phase_in'] as $field) {
            if (($row[$field] ?? '') !== '') {
                $item->{$field} = self::number($field, $row[$field]);
            }
        }
        $limit = (object) ['unit' => $row['unit'], 'interval' => self::number('interval', $row['interval'])];
        if (($row['threshold'] ?? '') !== '') {
            $limit->threshold = self::number('threshold', $row['threshold']);
        }
        foreach (['tolerance', 'early'] as $field) {
            foreach (['abs', 'pct', 'cap'] as $part) {
                if (($row["{$field}_{$part}"] ?? '') !== '') {
                    $limit->{$field} ??= new \stdClass;
                    $limit->{$field}->{$part} = self::number("{$field}_{$part}", $row["{$field}_{$part}"]);
                }
            }
        }

        return [$row['type'], $item, $limit];
    }

    /** The further lines of an item only add limits. */
    private static function requireSame(\stdClass $open, \stdClass $again): void
    {
        foreach (get_object_vars($open) as $field => $value) {
            if ($field !== 'limits' && json_encode($again->{$field} ?? null) !== json_encode($value)) {
                throw InputError::at(
                    $field,
                    "differs from the line above, though it is of the same item {$open->code}",
                );
            }
        }
    }

    private static function number(string $column, string $cell): int|float
    {
        return preg_match('/^\d+(\.\d+)?$/', $cell) === 1
            ? (str_contains($cell, '.') ? (float) $cell : (int) $cell)
            : throw InputError::at($column, "\"{$cell}\" is not a number");
    }

    /** @param array<string, string|float> $pairs */
    private static function pairs(array $pairs): string
    {
        return implode(
            ' ',
            array_map(static fn(string $k, string|float $v): string => "{$k}={$v}", array_keys($pairs), $pairs),
        );
    }

    private static function unpair(string $column, string $cell): \stdClass
    {
        $out = new \stdClass;
        foreach (preg_split('/\s+/', $cell) ?: [] as $pair) {
            [$key, $value] = explode('=', $pair, 2) + [1 => ''];
            $out->{$key} = $column === 'harsh' ? self::number($column, $value) : $value;
        }

        return $out;
    }

    /** The line on which the n-th object of "items" begins, by walking brackets outside strings. */
    private static function line(string $text, int $n): string
    {
        $at = strpos($text, '"items"');
        $depth = 0;
        $found = -1;
        $quoted = false;
        for ($i = ($at === false ? 0 : $at + 7), $end = strlen($text); $i < $end; $i++) {
            $c = $text[$i];
            if ($quoted) {
                $i += $c === '\\' ? 1 : 0;
                $quoted = $c !== '"';

                continue;
            }
            $quoted = $c === '"';
            $starts = $depth === 1 && ! $quoted ? $c === '{' : false;
            if ($starts && ++$found === $n) {
                return 'line '.(substr_count($text, "\n", 0, $i) + 1);
            }
            $depth += match ($c) {
                '[', '{' => 1, ']', '}' => -1, default => 0,
            };
        }

        return 'item '.($n + 1);
    }
}
