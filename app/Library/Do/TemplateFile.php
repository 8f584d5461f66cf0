<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Fleet\Model\AircraftType;
use App\Fleet\Model\ComponentTenure;
use App\Library\Model\CardTemplate;
use App\Library\Model\Figure;
use App\Library\Model\FollowRule;
use App\Library\Model\Manual;
use App\Library\Model\ManualRevision;
use App\Library\Model\Panel;
use App\Library\Model\Passage;
use App\Library\Model\Zone;
use App\Shared\JsonFile;
use App\Shared\Refused;
use App\Stores\Model\Part;
use Jorvel\Core\Contract\Schema;
use Jorvel\Core\Library\ExceededTable;
use Jorvel\Core\Library\Steps;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** Card templates as a file, in and out: `{type, cards: […]}`, each as in core/schema/card.json. */
final readonly class TemplateFile
{
    /** Fields that stand in the template's row as they are; those that may be absent, with what they are then. */
    private const PLAIN = [
        'code' => null, 'title' => null, 'chapter' => null, 'section' => null, 'revision' => null, 'skill' => null,
        'hours' => null, 'zone' => null, 'steps' => null, 'method' => '', 'makes' => null,
        'independent_inspection' => false, 'covers' => null, 'systems' => [], 'needs' => null, 'positions' => [],
        'configuration' => null, 'parts' => null, 'panels' => null, 'ground' => null, 'after' => null,
    ];

    /** @param list<array<string, mixed>> $cards */
    private function __construct(public AircraftType $type, public array $cards) {}

    /**
     * The template as its file has it, without what is at its default.
     *
     * @param CardTemplate $template with `manual`
     *
     * @return array<string, mixed>
     */
    public static function body(CardTemplate $template): array
    {
        $body = ['stage' => $template->stage->value, 'manual' => $template->manual->code];
        foreach (self::PLAIN as $field => $usual) {
            $value = $template->{$field};
            if ($value !== $usual && $value !== null && ($value !== [] || $field === 'covers')) {
                $body[$field] = $value;
            }
        }
        $order = array_flip([
            'code', 'title', 'manual', 'revision', 'chapter', 'section', 'method', 'skill', 'hours', 'zone', 'stage',
            'makes', 'independent_inspection', 'covers', 'systems', 'needs', 'positions', 'configuration', 'parts',
            'panels', 'ground', 'after', 'steps',
        ]);
        uksort($body, static fn(string $a, string $b): int => $order[$a] <=> $order[$b]);

        return $body;
    }

    /**
     * What its row says.
     *
     * @param array<string, mixed> $body without faults
     *
     * @return array<string, mixed>
     */
    public static function row(array $body, int $typeId): array
    {
        $row = [];
        foreach (self::PLAIN as $field => $usual) {
            $row[$field] = $body[$field] ?? $usual;
        }

        return [
            ...$row, 'stage' => $body['stage'], 'type_id' => $typeId, 'hours' => (float) $body['hours'],
            'manual_id' => Manual::where(['type_id' => $typeId, 'code' => $body['manual']])->valueOrFail('id'),
        ];
    }

    /**
     * A card as its schema wants it: what is an object and has nothing in it is one all the same.
     *
     * @param array<string, mixed> $body
     */
    public static function asObject(array $body): \stdClass
    {
        if (is_array($body['steps'] ?? null)) {
            $body['steps'] = array_map(self::stepAsObject(...), $body['steps']);
        }
        foreach (['needs', 'configuration', 'parts'] as $field) {
            if (($body[$field] ?? null) === []) {
                $body[$field] = new \stdClass;
            }
        }

        return json_decode((string) json_encode($body), false, 64);
    }

    private static function stepAsObject(mixed $step): mixed
    {
        if (is_array($step) && is_array($step['spec']['steps'] ?? null)) {
            $step['spec']['steps'] = array_map(self::stepAsObject(...), $step['spec']['steps']);
        }
        if (is_array($step) && ($step['spec'] ?? null) === []) {
            $step['spec'] = new \stdClass;
        }

        return $step;
    }

    /** Every template of a type, to be read again by {@see read()}. */
    public static function json(AircraftType $type): string
    {
        $cards = CardTemplate::with('manual')->where('type_id', $type->id)->orderBy('code')->get();

        return json_encode(
            [
                'type' => $type->code,
                'cards' => $cards->map(static fn(CardTemplate $t): \stdClass => self::asObject(self::body($t)))->all(),
            ],
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        )."\n";
    }

    /** @throws Refused with every fault of every card */
    public static function read(string $text): self
    {
        $data = JsonFile::read($text);
        if (! is_object($data) || ! is_string($data->type ?? null) || ! is_array($data->cards ?? null)) {
            throw Refused::lines(
                'The file is no set of cards. Nothing was changed.',
                [['line' => 'file', 'message' => 'must be an object with "type" and a list "cards"']],
            );
        }
        $type = AircraftType::firstWhere('code', $data->type) ?? throw Refused::lines(
            'The cards are for a type that is not here. Nothing was changed.',
            [['line' => 'type', 'message' => "no aircraft type \"{$data->type}\""]],
        );
        $bad = $seen = [];
        $codes = array_filter(array_map(static fn(mixed $c): mixed => $c->code ?? null, $data->cards), is_string(...));
        foreach ($data->cards as $i => $card) {
            $faults = self::faults($card, $type, array_values($codes));
            $code = is_string($card->code ?? null) ? $card->code : null;
            if ($code !== null && isset($seen[$code])) {
                $faults[] = InputError::usedTwice('code', $code);
            }
            $seen[(string) $code] = true;
            foreach ($faults as $e) {
                $bad[] = [
                    'line' => ($code ?? 'card '.($i + 1)).", {$e->path}",
                    'message' => $e->getMessage(),
                ];
            }
        }
        if ($data->cards === [] || $bad !== []) {
            throw Refused::file($bad === [] ? [['line' => 'file', 'message' => 'has no card']] : $bad, 'fault');
        }

        return new self($type, json_decode((string) json_encode($data->cards), true));
    }

    /**
     * Everything that a card has against it, each at its place.
     *
     * @param mixed $card decoded JSON, objects as objects
     * @param list<string> $others codes that come with it
     *
     * @return list<InputError>
     */
    public static function faults(mixed $card, AircraftType $type, array $others = []): array
    {
        $shape = Schema::faults('card', $card);
        $steps = Steps::faults($card->steps ?? null);
        $faults = [...$shape, ...array_filter(
            $steps,
            static fn(InputError $e): bool => $e->path !== 'steps' || isset($card->steps) && is_array($card->steps)
                && $card->steps !== [],
        )];

        return $shape === [] ? [...$faults, ...self::references($card, $type, $others)] : $faults;
    }

    /**
     * @param list<string> $others
     *
     * @return list<InputError>
     */
    private static function references(\stdClass $card, AircraftType $type, array $others): array
    {
        $faults = [];
        $manual = Manual::where(['type_id' => $type->id, 'code' => $card->manual])->first();
        if ($manual === null) {
            $faults[] = InputError::notAmong('manual', "manuals of the {$type->code}", $card->manual);
        } elseif ($card->revision > $manual->revision) {
            $faults[] = InputError::at('revision', "{$manual->code} is at revision {$manual->revision}");
        }
        $zones = Zone::where('type_id', $type->id)->pluck('name')->all();
        if ($zones !== [] && ! in_array($card->zone, [...$zones, 'whole aircraft', 'outside'], true)) {
            $faults[] = InputError::notAmong('zone', "zones of the {$type->code}", $card->zone);
        }
        $lists = [
            'panels' => [Panel::where('type_id', $type->id)->pluck('code')->all(), 'panels'],
            'after' => [[...CardTemplate::where('type_id', $type->id)->pluck('code')->all(), ...$others], 'cards'],
        ];
        foreach ($lists as $field => [$known, $of]) {
            foreach ($card->{$field} ?? [] as $i => $name) {
                if (! in_array($name, $known, true) || $name === $card->code) {
                    $faults[] = InputError::notAmong("{$field}.{$i}", "{$of} of the {$type->code}", $name);
                }
            }
        }
        $numbers = array_keys((array) ($card->parts ?? []));
        foreach (array_diff($numbers, Part::whereIn('number', $numbers)->pluck('number')->all()) as $number) {
            $faults[] = InputError::notAmong("parts.{$number}", 'parts in the store', (string) $number);
        }

        return [
            ...$faults, ...self::partsOfSteps($card->steps), ...self::unitsOfSteps($type, $card->steps),
            ...self::productsOfSteps($card->steps), ...self::limitsOfSteps($type, $card->steps),
            ...self::linksOfSteps($type, $card, $others),
        ];
    }

    /**
     * @param array<array-key, \stdClass> $steps
     *
     * @return list<InputError>
     */
    private static function partsOfSteps(array $steps): array
    {
        $at = array_map(static fn(\stdClass $s): string => $s->spec->part, self::ofKind($steps, 'part'));
        $known = Part::whereIn('number', array_values($at))->pluck('number')->all();
        $faults = [];
        foreach ($at as $place => $number) {
            if (! in_array($number, $known, true)) {
                $faults[] = InputError::notAmong("{$place}.spec.part", 'parts in the store', $number);
            }
        }

        return $faults;
    }

    /**
     * A unit is exchanged, or its gauge read, where the type has a place for it.
     *
     * @param array<array-key, \stdClass> $steps
     *
     * @return list<InputError>
     */
    private static function unitsOfSteps(AircraftType $type, array $steps): array
    {
        $gauges = array_filter(
            self::ofKind($steps, 'measurement'),
            static fn(\stdClass $s): bool => isset($s->spec->reading->gauge),
        );
        $units = self::ofKind($steps, 'exchange');
        if ($gauges === [] && $units === []) {
            return [];
        }
        $faults = [];
        $fitted = ComponentTenure::with('component')->whereRelation('craft', 'type_id', $type->id)->get();
        foreach ($units as $place => $step) {
            $places = $fitted->filter(
                static fn(ComponentTenure $t): bool => $t->component->kind === $step->spec->component,
            )->pluck('position');
            if ($places->isEmpty()) {
                $faults[] = InputError::notAmong(
                    "{$place}.spec.component",
                    "units of the {$type->code}",
                    $step->spec->component,
                );
            } elseif (! $places->contains($step->spec->position)) {
                $faults[] = InputError::notAmong(
                    "{$place}.spec.position",
                    'places of its kind: '.$places->unique()->sort()->implode(', '),
                    $step->spec->position,
                );
            }
        }
        $read = $fitted->filter(static fn(ComponentTenure $t): bool => $t->component->gauge !== null)
            ->pluck('position')->unique();
        foreach ($gauges as $place => $step) {
            if (! $read->contains($step->spec->reading->gauge->position)) {
                $faults[] = InputError::notAmong(
                    "{$place}.spec.reading.gauge.position",
                    'places with a gauge: '.$read->sort()->implode(', '),
                    $step->spec->reading->gauge->position,
                );
            }
        }

        return $faults;
    }

    /**
     * What is put in is in the store by its specification, and may meet the system.
     *
     * @param array<array-key, \stdClass> $steps
     *
     * @return list<InputError>
     */
    private static function productsOfSteps(array $steps): array
    {
        $faults = [];
        foreach (self::ofKind($steps, 'consumable') as $place => $step) {
            $parts = Part::where('specification', $step->spec->product)->get();
            $may = $parts->reject(static fn(Part $p): bool => in_array($step->spec->system, $p->never ?? [], true));
            if ($parts->isEmpty()) {
                $faults[] = InputError::notAmong(
                    "{$place}.spec.product",
                    'specifications in the store',
                    $step->spec->product,
                );
            } elseif ($may->isEmpty()) {
                $faults[] = InputError::at("{$place}.spec.product", "must never meet {$step->spec->system}");
            }
        }

        return $faults;
    }

    /**
     * A reading that may exceed a limit, and what is watched in a ground run, name a rule in force, of its unit, and a
     * position of it.
     *
     * @param array<array-key, \stdClass> $steps
     *
     * @return list<InputError>
     */
    private static function limitsOfSteps(AircraftType $type, array $steps): array
    {
        $reads = array_filter(
            self::ofKind($steps, 'measurement'),
            static fn(\stdClass $s): bool => isset($s->spec->reading->exceeds),
        );
        $rigs = array_filter(
            self::ofKind($steps, 'rig'),
            static fn(\stdClass $s): bool => isset($s->spec->ground->limits),
        );
        if ($reads === [] && $rigs === []) {
            return [];
        }
        $tables = FollowRule::tables($type->id);
        $faults = [];
        foreach ($reads as $place => $step) {
            $of = $step->spec->reading->exceeds;
            $at = "{$place}.spec.reading";
            $unit = Unit::tryFrom((string) $step->spec->reading->limit->unit);
            $table = $tables[$of->rule] ?? null;
            $positions = self::positions($steps, $place, $of->position);
            $faults[] = self::limitFault($type, $of, $table, $positions, "{$at}.exceeds")
                ?? ($table !== null && $unit?->dimension() !== $table->unit->dimension() ? InputError::at(
                    "{$at}.limit.unit",
                    "is of another kind than {$table->unit->label()}, in which {$of->rule} has its limit",
                ) : null);
        }
        foreach ($rigs as $place => $step) {
            foreach ($step->spec->ground->limits as $i => $of) {
                $positions = self::positions($steps, $place, $of->position);
                $at = "{$place}.spec.ground.limits.{$i}";
                $faults[] = self::limitFault($type, $of, $tables[$of->rule] ?? null, $positions, $at);
            }
        }

        return array_values(array_filter($faults));
    }

    /**
     * @param \stdClass $of `rule`, `position`
     * @param ExceededTable|null $table of that rule, where it is in force and has one
     * @param list<string> $positions that are meant
     */
    private static function limitFault(
        AircraftType $type,
        \stdClass $of,
        ?ExceededTable $table,
        array $positions,
        string $at,
    ): ?InputError {
        return match (true) {
            $table === null => InputError::notAmong(
                "{$at}.rule",
                "limits with a table of the {$type->code}",
                $of->rule,
            ),
            array_diff($positions, $table->positions) !== [] => InputError::notAmong(
                "{$at}.position",
                'its positions: '.implode(', ', $table->positions),
                $of->position,
            ),
            default => null,
        };
    }

    /**
     * What a step shows and leads to is there: its figure, another card, a passage of its manual.
     *
     * @param list<string> $others
     *
     * @return list<InputError>
     */
    private static function linksOfSteps(AircraftType $type, \stdClass $card, array $others): array
    {
        $figures = $cards = $passages = null;
        $faults = [];
        foreach (self::ofKind($card->steps) as $place => $step) {
            $code = $step->spec->figure->code ?? null;
            if ($code !== null && ! isset(($figures ??= Figure::latest($type->id))[$code])) {
                $faults[] = InputError::notAmong("{$place}.spec.figure.code", "figures of the {$type->code}", $code);
            }
            foreach ($step->spec->see ?? [] as $i => $see) {
                if (isset($see->card)) {
                    $cards ??= [...CardTemplate::where('type_id', $type->id)->pluck('code')->all(), ...$others];
                    $known = in_array($see->card, $cards, true);
                } else {
                    $passages ??= Passage::whereIn('revision_id', ManualRevision::whereIn(
                        'manual_id',
                        Manual::where(['type_id' => $type->id, 'code' => $card->manual])->select('id'),
                    )->select('id'))->pluck('section')->all();
                    $known = in_array($see->passage, $passages, true);
                }
                if (! $known) {
                    $faults[] = isset($see->card)
                        ? InputError::notAmong("{$place}.spec.see.{$i}.card", "cards of the {$type->code}", $see->card)
                        : InputError::notAmong(
                            "{$place}.spec.see.{$i}.passage",
                            "passages of {$card->manual}",
                            $see->passage,
                        );
                }
            }
        }

        return $faults;
    }

    /**
     * What a position of a step comes to: in a block, at each of its positions.
     *
     * @param array<array-key, \stdClass> $steps
     *
     * @return list<string>
     */
    private static function positions(array $steps, string $place, string $position): array
    {
        return array_map(
            static fn(string $p): string => str_replace('{position}', $p, $position),
            array_values($steps[(int) explode('.', $place)[1]]->spec->positions ?? ['']),
        );
    }

    /**
     * The steps of a kind, or all of them, also those in a block.
     *
     * @param array<array-key, \stdClass> $steps
     *
     * @return array<string, \stdClass> by their place
     */
    private static function ofKind(array $steps, ?string $kind = null): array
    {
        $at = [];
        foreach ($steps as $i => $step) {
            $block = Steps::holds($step->kind);
            foreach ($block ? $step->spec->steps : [$step] as $k => $one) {
                if ($kind === null || $one->kind === $kind) {
                    $at[$block ? "steps.{$i}.spec.steps.{$k}" : "steps.{$i}"] = $one;
                }
            }
        }

        return $at;
    }
}
