<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Shared\AsDay;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Jorvel\Core\Fleet\Allowance;
use Jorvel\Core\Fleet\DueItem;
use Jorvel\Core\Fleet\DueLimit;
use Jorvel\Core\Fleet\HarshUse;
use Jorvel\Core\Fleet\LineCheck;
use Jorvel\Core\Fleet\Rebase;
use Jorvel\Core\Fleet\Rule;
use Jorvel\Core\Shared\Day;

/**
 * A programme item of a type: what must be done, and how often.
 *
 * @property int $id
 * @property int $type_id
 * @property int $template_id
 * @property string $code
 * @property string $title
 * @property string $chapter
 * @property string $rule
 * @property string $rebase
 * @property list<array<string, mixed>> $limits as in the `due` kind
 * @property string|null $component kind of component that it is done on, wherever that is fitted; null for the aircraft
 * itself
 * @property bool $phase it is one of the type's phases
 * @property bool $wash it may be worked at a wash place, between two flights
 * @property bool $withdrawn no longer in force; kept for what was done by it
 * @property list<string> $includes codes of items that are done with it: a deeper block includes the block
 * @property array<string, float>|null $harsh factor on its intervals, by condition
 * @property float|null $hours where they differ from its card's
 * @property list<string> $access panels to be opened
 * @property array<string, string>|null $configuration of the aircraft that it needs: power, jacks, hydraulics
 * @property LineCheck|null $line it is done on the line, without a visit; null where it falls due and goes into one
 * @property int|null $validity of a check on the line: days after the one on which it is signed
 * @property Day|null $from in force from this day: what an aircraft flew before makes it due no sooner
 * @property int|null $phase_in days from then until it must be done for the first time
 * @property-read CardTemplate $template
 * @property-read Collection<int, CardTemplate> $set cards that are made with its own, in their order: one a zone,
 *   position or side; its own card closes when they are closed
 */
final class ProgrammeItem extends Model
{
    /** What an item may say and need not, as in its file. */
    public const OPTIONAL = [
        'component',
        'phase',
        'withdrawn',
        'includes',
        'harsh',
        'hours',
        'access',
        'configuration',
        'line',
        'validity',
        'from',
        'phase_in',
        'wash',
    ];

    protected $casts = [
        'limits' => 'array',
        'phase' => 'boolean',
        'withdrawn' => 'boolean',
        'includes' => 'array',
        'harsh' => 'array',
        'hours' => 'float',
        'access' => 'array',
        'configuration' => 'array',
        'line' => LineCheck::class,
        'validity' => 'integer',
        'from' => AsDay::class,
        'phase_in' => 'integer',
        'wash' => 'boolean',
    ];

    /** @var array<string, DueItem> never done, by factor */
    private array $never = [];

    /** @return BelongsTo<CardTemplate, $this> */
    public function template(): BelongsTo
    {
        return $this->belongsTo(CardTemplate::class);
    }

    /** @return BelongsToMany<CardTemplate, $this> */
    public function set(): BelongsToMany
    {
        return $this->belongsToMany(CardTemplate::class, 'item_cards', 'item_id', 'template_id')
            ->withPivot('n')
            ->orderByPivot('n');
    }

    /**
     * The item as if never done, under such harsh use.
     *
     * @param float $factor on its intervals, see {@see HarshUse}
     */
    public function due(float $factor = 1.0): DueItem
    {
        return $this->never[(string) $factor] ??= $this->phased(DueItem::of(
            Rule::from($this->rule),
            Rebase::from($this->rebase),
            array_map(self::limit(...), $this->limits),
        ))->shortened($factor);
    }

    private function phased(DueItem $item): DueItem
    {
        return $this->from === null ? $item : $item->phasedIn($this->from, $this->phase_in ?? 0);
    }

    /** @param array<string, mixed> $l */
    private static function limit(array $l): DueLimit
    {
        return DueLimit::of(
            $l['unit'],
            (float) $l['interval'],
            isset($l['threshold']) ? (float) $l['threshold'] : null,
            self::allowance($l['tolerance'] ?? null),
            self::allowance($l['early'] ?? null),
        );
    }

    /** @param array<string, float|int>|null $a */
    private static function allowance(?array $a): ?Allowance
    {
        $part = static fn(string $name): ?float => isset($a[$name]) ? (float) $a[$name] : null;

        return $a === null ? null : Allowance::of($part('abs'), $part('pct'), $part('cap'));
    }

    public function harshUse(): HarshUse
    {
        return HarshUse::of(array_map(floatval(...), $this->harsh ?? []));
    }

    /** Hours of work, of all its cards; load `template` and `set` first. */
    public function workHours(): float
    {
        return $this->ownHours() + (float) $this->set->sum('hours');
    }

    /** Hours of its own card alone. */
    public function ownHours(): float
    {
        return $this->hours ?? $this->template->hours;
    }

    /** The code of its card, and of how many others beside it; load `template` and `set` first. */
    public function cardWords(): string
    {
        $more = $this->set->count();

        return $this->template->code.($more === 0 ? '' : " and {$more} more");
    }

    /** @return list<string> every panel that one of its cards wants open; load `template` and `set` first */
    public function panels(): array
    {
        return array_values(array_unique([
            ...$this->access ?? [],
            ...$this->template->panels ?? [],
            ...$this->set->flatMap(static fn(CardTemplate $t): array => $t->panels ?? [])->all(),
        ]));
    }

    /**
     * Its limits in words: "300 fh +5 % or 12 months"; whole, with everything that can differ between two limits:
     * "300 fh, first at 400, +5 % at most 15, early 10 %".
     */
    public function limitWords(bool $whole = false): string
    {
        $joint = $this->rule === 'last' ? ' and ' : ' or ';

        return implode($joint, array_map(static function (array $l) use ($whole): string {
            $words = "{$l['interval']} ".((float) $l['interval'] === 1.0 ? rtrim($l['unit'], 's') : $l['unit']);
            $slack = self::allowanceWords($l['tolerance'] ?? []);
            if (! $whole) {
                return $slack === '' ? $words : "{$words} +{$slack}";
            }
            $early = self::allowanceWords($l['early'] ?? []);

            return $words.(isset($l['threshold']) ? ", first at {$l['threshold']}" : '')
                .($slack === '' ? '' : ", +{$slack}").($early === '' ? '' : ", early {$early}");
        }, $this->limits));
    }

    /** @param array<string, float|int> $allowance */
    private static function allowanceWords(array $allowance): string
    {
        if (isset($allowance['abs'])) {
            return (string) $allowance['abs'];
        }

        return isset($allowance['pct'])
            ? "{$allowance['pct']} %".(isset($allowance['cap']) ? " at most {$allowance['cap']}" : '')
            : '';
    }
}
