<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Floor\Model\Card;
use App\Floor\Model\Reading;
use App\Floor\Model\ReadingKind;
use App\Floor\Model\Step;
use App\Shared\Refused;
use Jorvel\Core\Library\Flowing;
use Jorvel\Core\Library\Steps;

/** Limits that flow from earlier readings of a card, or from those of the last card of its kind on its aircraft. */
final readonly class Flows
{
    /**
     * What a reading of a step is judged by, with numbers only.
     *
     * @return array<string, mixed> as {@see Step::readingSpec()}
     *
     * @throws Refused while something that it rests on is not read
     */
    public function spec(Step $step, string $point = ''): array
    {
        $spec = $step->readingSpec($point);
        if (Flowing::expressions($spec['limit'] ?? []) === []) {
            return $spec;
        }
        $read = $this->read($step);
        $waits = Flowing::waitsFor($spec['limit'], $read);
        if ($waits !== []) {
            throw Refused::because("Step {$step->no} has its limit from ".implode(', ', $waits)
                .', which is not read yet. Nothing was saved.');
        }

        return [...$spec, 'limit' => Flowing::resolve($spec['limit'], $read)];
    }

    /**
     * What a step keeps of the limit that it was judged by, where that flowed.
     *
     * @param array<string, mixed> $spec with numbers only
     *
     * @return array<string, mixed>
     */
    public static function kept(Step $step, array $spec): array
    {
        return Flowing::expressions($step->spec['reading']['limit'] ?? []) === [] ? [] : ['limit' => $spec['limit']];
    }

    /**
     * The spec of a step as it is shown: its limit in numbers, or what that waits for.
     *
     * @return array<string, mixed>
     */
    public function shown(Step $step): array
    {
        $limit = $step->spec['reading']['limit'] ?? [];
        if (Flowing::expressions($limit) === []) {
            return $step->spec;
        }
        $read = $this->read($step);
        $waits = Flowing::waitsFor($limit, $read);
        $reading = $waits === []
            ? [
                'limit' => Flowing::resolve($limit, $read),
                'from' => array_intersect_key($limit, Flowing::expressions($limit)),
            ]
            : ['pending' => $waits];

        return [...$step->spec, 'reading' => [...$step->spec['reading'], ...$reading]];
    }

    /** @return array<string, array{float, string}> what was read so far, with its unit, by the name of its step */
    private function read(Step $step): array
    {
        $position = $step->spec['each']['position'] ?? null;
        $last = Card::with('steps')->where('aircraft_id', $step->card->aircraft_id)
            ->where('template_id', $step->card->template_id)->where('state', Card::CLOSED)
            ->whereNot('id', $step->card_id)->orderByDesc('id')->first();
        $out = $last === null ? [] : self::of($last, $position, Flowing::LAST);

        $sister = $position === null ? null : self::sister($step->card, $step->spec['each']['title'], $position);
        if ($sister !== null) {
            $out = [...$out, ...self::of($step->card, $sister, Flowing::OTHER, own: true)];
        }

        return [...$out, ...self::of($step->card, $position, '')];
    }

    /** The other position of a block that has two. */
    private static function sister(Card $card, string $title, string $position): ?string
    {
        $positions = $card->steps->map(static fn(Step $s): mixed => $s->spec['each'] ?? null)->filter()
            ->where('title', $title)->pluck('position')->unique()->values();

        return $positions->count() === 2 ? $positions->first(static fn(string $p): bool => $p !== $position) : null;
    }

    /**
     * @param bool $own only what belongs to that position
     *
     * @return array<string, array{float, string}>
     */
    private static function of(Card $card, ?string $position, string $prefix, bool $own = false): array
    {
        $read = Reading::where(['card_id' => $card->id, 'stands' => true, 'kind' => ReadingKind::Reading])
            ->orderBy('id')->get()->keyBy('step_id');
        $out = [];
        foreach ($card->steps as $step) {
            $id = $step->spec['id'] ?? null;
            $reading = $read->get($step->id);
            $value = match (true) {
                $id === null => null,
                $reading !== null => [$reading->value, $reading->unit],
                isset($step->result['counted']) => [(float) $step->result['counted'], ''],
                is_numeric($step->result['mark'] ?? null) => [(float) $step->result['mark'], $step->spec['unit'] ?? ''],
                default => null,
            };
            // Inside a block a name is the step of the same position.
            $here = $position !== null && str_ends_with((string) $id, Steps::at('', $position));
            if ($own && ! $here) {
                continue;
            }
            $name = $here
                ? substr((string) $id, 0, -strlen(Steps::at('', $position)))
                : (string) $id;
            if ($value !== null) {
                $out[$prefix.$name] = $value;
            }
        }

        return $out;
    }
}
