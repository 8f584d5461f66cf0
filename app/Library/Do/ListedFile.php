<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Deferrals\Model\ListedItem;
use App\Deferrals\Model\ListedRevision;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\AircraftType;
use App\Library\Model\CardTemplate;
use App\Shared\Csv;
use App\Shared\JsonFile;
use App\Shared\Refused;
use Jorvel\Core\Contract\Schema;
use Jorvel\Core\Deferrals\ListedItem as Allowed;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/**
 * The list of what may be carried as a file, in and out: JSON (`{type, revision, issued, summary, items: […]}`, each
 * item as in core/schema/listed.json) or CSV, one line an item. It is checked whole; each bad item is named by its
 * place.
 */
final readonly class ListedFile
{
    private const HEAD = ['type', 'revision', 'issued', 'summary'];

    private const TEXTS = ['code', 'chapter', 'system', 'title', 'category', 'conditions', 'safe', 'crew', 'placard'];

    private const NUMBERS = ['installed', 'required', 'carry'];

    /** Of several, with semicolons between them. */
    private const LISTS = ['words', 'positions', 'channels', 'forbid', 'needs', 'closes'];

    /** `name=number`, with semicolons between them. */
    private const PAIRS = ['limits', 'restrict'];

    /** @param array<string, array<string, mixed>> $items bodies by code */
    private function __construct(
        public AircraftType $type,
        public int $revision,
        public Day $issued,
        public string $summary,
        public array $items,
    ) {}

    /** @throws Refused with every fault of every item */
    public static function read(string $text): self
    {
        $data = JsonFile::read($text);
        if (! is_object($data) || ! is_array($data->items ?? null)) {
            throw self::none([['line' => 'file', 'message' => 'must be an object with "type", "revision", "issued", '
                .'"summary" and a list "items"']]);
        }

        return self::check($data, array_values($data->items), static fn(int $i): string => is_string(
            $data->items[$i]->code ?? null,
        ) ? $data->items[$i]->code : 'item '.($i + 1));
    }

    /** @throws Refused with every line that is wrong */
    public static function readCsv(string $text): self
    {
        $lines = Csv::read($text);
        $head = array_map(static fn(string $h): string => strtolower(trim($h)), array_shift($lines) ?? []);
        $known = self::columns();
        $wrong = array_diff($head, $known);
        $lacking = array_diff([...self::HEAD, 'code', 'chapter', 'system', 'title', 'category', 'placard'], $head);
        if ($wrong !== [] || $lacking !== [] || count(array_unique($head)) !== count($head)) {
            throw self::none([['line' => 'line 1', 'message' => match (true) {
                $lacking !== [] => 'lacks the columns '.implode(', ', $lacking),
                $wrong !== [] => 'has columns that a list does not have: '.implode(', ', $wrong),
                default => 'has a column twice',
            }]]);
        }
        $bad = $rows = [];
        $first = null;
        foreach ($lines as $i => $cells) {
            try {
                if (count($cells) !== count($head)) {
                    throw InputError::at('', 'has '.count($cells).' cells; '.count($head).' are wanted');
                }
                $row = array_map(trim(...), array_combine($head, $cells));
                $of = array_intersect_key($row, array_flip(self::HEAD));
                $first ??= $of;
                if ($of !== $first) {
                    throw InputError::at(
                        (string) array_key_first(array_diff_assoc($of, $first)),
                        'differs from the line above; one file is one revision of one type',
                    );
                }
                $rows[] = self::item($row);
            } catch (InputError $e) {
                $bad[] = self::fault('line '.($i + 2), $e);
            }
        }
        if ($bad !== [] || $first === null) {
            throw Refused::file($bad === [] ? [['line' => 'file', 'message' => 'has no item']] : $bad, 'item');
        }
        $data = (object) $first;
        $data->revision = ctype_digit($data->revision) ? (int) $data->revision : $data->revision;

        return self::check($data, $rows, static fn(int $i): string => 'line '.($i + 2));
    }

    /** @return list<string> */
    public static function columns(): array
    {
        return [...self::HEAD, ...self::TEXTS, ...self::NUMBERS, ...self::LISTS, ...self::PAIRS, 'size', 'withdrawn'];
    }

    /**
     * A type's list as it is in force, to be read again by {@see read()}: as the next revision, if anything is changed.
     */
    public static function json(AircraftType $type): string
    {
        return json_encode([
            ...self::head($type),
            'items' => ListedItem::inForce($type->id)->get()
                ->map(static fn(ListedItem $i): \stdClass => ListedItem::object($i->body))->all(),
        ], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n";
    }

    /** The same as CSV, to be read again by {@see readCsv()}. */
    public static function csv(AircraftType $type): string
    {
        $head = array_values(self::head($type));
        $list = static fn(array $v): string => implode('; ', $v);
        $pairs = static fn(array $v): string => implode('; ', array_map(
            static fn(string $k, int|float $n): string => "{$k}={$n}",
            array_keys($v),
            $v,
        ));

        return Csv::write(self::columns(), ListedItem::inForce($type->id)->get()->map(
            static fn(ListedItem $i): array => [
                ...$head,
                ...array_map(static fn(string $f): mixed => $i->body[$f] ?? null, [...self::TEXTS, ...self::NUMBERS]),
                ...array_map(static fn(string $f): string => $list($i->body[$f] ?? []), self::LISTS),
                ...array_map(static fn(string $f): string => $pairs($i->body[$f] ?? []), self::PAIRS),
                implode('x', $i->body['size'] ?? []), ($i->body['withdrawn'] ?? false) ? 'yes' : '',
            ],
        )->all());
    }

    /** @return array{type: string, revision: int, issued: string, summary: string} */
    private static function head(AircraftType $type): array
    {
        $now = ListedRevision::where('type_id', $type->id)->orderByDesc('revision')->first();

        return [
            'type' => $type->code, 'revision' => $now->revision ?? 0, 'issued' => (string) $now?->issued,
            'summary' => $now->summary ?? '',
        ];
    }

    /**
     * @param array<string, string> $row cells by column
     *
     * @throws InputError at a column
     */
    private static function item(array $row): \stdClass
    {
        $item = new \stdClass;
        $given = array_filter($row, static fn(string $v): bool => $v !== '');
        foreach (array_diff_key($given, array_flip(self::HEAD)) as $field => $cell) {
            $parts = array_map(trim(...), explode(';', $cell));
            $item->{$field} = match (true) {
                in_array($field, self::LISTS, true) => $parts,
                in_array($field, self::PAIRS, true) => self::pairs($field, $parts),
                in_array($field, self::NUMBERS, true) => self::number($field, $cell),
                $field === 'size' => array_map(
                    static fn(string $n): int|float => self::number('size', trim($n)),
                    explode('x', $cell),
                ),
                $field === 'withdrawn' => ['yes' => true, 'no' => false][$cell]
                    ?? throw InputError::at('withdrawn', 'must be yes, no, or empty'),
                default => $cell,
            };
        }

        return $item;
    }

    /** @param list<string> $parts */
    private static function pairs(string $field, array $parts): \stdClass
    {
        $out = new \stdClass;
        foreach ($parts as $part) {
            [$name, $value] = array_map(trim(...), explode('=', $part, 2) + [1 => '']);
            $out->{$name} = self::number($field, $value);
        }

        return $out;
    }

    private static function number(string $field, string $cell): int|float
    {
        return preg_match('/^\d+(\.\d+)?$/D', $cell) === 1
            ? (str_contains($cell, '.') ? (float) $cell : (int) $cell)
            : throw InputError::at($field, "\"{$cell}\" is not a number");
    }

    /**
     * @param list<mixed> $rows
     * @param callable(int): string $place
     */
    private static function check(\stdClass $data, array $rows, callable $place): self
    {
        $type = AircraftType::firstWhere('code', $data->type ?? '') ?? throw Refused::lines(
            'The list is for a type that is not here. Nothing was changed.',
            [['line' => 'type', 'message' => 'no aircraft type "'.(is_string($data->type ?? null) ? $data->type : '')
                .'"']],
        );
        $bad = self::ofHead($data, $type);
        $cards = CardTemplate::where('type_id', $type->id)->pluck('code')->all();
        $counters = Aircraft::where('type_id', $type->id)->get()
            ->flatMap(static fn(Aircraft $a): array => array_keys($a->counters))->unique()->all();
        $systems = [
            ...ListedItem::inForce($type->id)->get()->map(static fn(ListedItem $i): string => $i->terms()->system)
            ->all(),
            ...array_map(static fn(mixed $r): mixed => $r->system ?? null, array_filter($rows, is_object(...))),
        ];
        $items = [];
        foreach ($rows as $i => $row) {
            $faults = Schema::faults('listed', $row) ?: self::faults($row, $cards, $counters, $systems, $items);
            $items[$row->code ?? '?'] = json_decode((string) json_encode($row), true);
            $bad = [...$bad, ...array_map(static fn(InputError $e): array => self::fault($place($i), $e), $faults)];
        }
        if ($rows === [] || $bad !== []) {
            throw Refused::file($bad === [] ? [['line' => 'file', 'message' => 'has no item']] : $bad, 'fault');
        }

        return new self($type, $data->revision, Day::parse($data->issued), $data->summary, $items);
    }

    /** @return list<array{line: string, message: string}> */
    private static function ofHead(\stdClass $data, AircraftType $type): array
    {
        $bad = [];
        $now = ListedRevision::of($type->id);
        if (! is_int($data->revision ?? null) || $data->revision < 1) {
            $bad[] = ['line' => 'revision', 'message' => 'must be a whole number from 1'];
        } elseif ($data->revision <= $now) {
            $bad[] = ['line' => 'revision',
                'message' => "{$data->revision} is not newer than {$now}, which is in force"];
        }
        try {
            Day::parse(is_string($data->issued ?? null) ? $data->issued : '');
        } catch (InputError $e) {
            $bad[] = ['line' => 'issued', 'message' => $e->getMessage()];
        }
        if (! is_string($data->summary ?? null) || trim($data->summary) === '') {
            $bad[] = ['line' => 'summary', 'message' => 'must say what is changed'];
        }

        return $bad;
    }

    /**
     * What an item of the right shape has against it.
     *
     * @param list<string> $cards codes of the type
     * @param array<array-key, string> $counters of its aircraft
     * @param list<mixed> $systems named by items of the list, in force or in the file
     * @param array<string, mixed> $before items above it, by code
     *
     * @return list<InputError>
     */
    private static function faults(\stdClass $row, array $cards, array $counters, array $systems, array $before): array
    {
        $faults = isset($before[$row->code]) ? [InputError::usedTwice('code', $row->code)] : [];
        try {
            $item = Allowed::of($row);
        } catch (InputError $e) {
            return [...$faults, $e];
        }
        foreach (array_diff(array_keys($item->usage), $counters) as $counter) {
            $faults[] = InputError::at("limits.{$counter}", 'is no counter of this type');
        }
        foreach ($item->needs as $i => $system) {
            if (! in_array($system, $systems, true)) {
                $faults[] = InputError::at("needs.{$i}", "no item of the list is of \"{$system}\"");
            }
        }
        $named = $item->safe === null ? [] : ['safe' => $item->safe];
        foreach ($item->closes as $i => $card) {
            $named["closes.{$i}"] = $card;
        }
        foreach (array_diff($named, $cards) as $at => $card) {
            $faults[] = InputError::at($at, "there is no card template \"{$card}\" for this type");
        }

        return $faults;
    }

    /** @return array{line: string, message: string} */
    private static function fault(string $place, InputError $e): array
    {
        return ['line' => $e->path === '' ? $place : "{$place}, {$e->path}", 'message' => $e->getMessage()];
    }

    /** @param list<array{line: string, message: string}> $lines */
    private static function none(array $lines): Refused
    {
        return Refused::lines('The file is no list of what may be carried. Nothing was changed.', $lines);
    }
}
