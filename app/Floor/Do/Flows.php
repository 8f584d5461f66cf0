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
            ? ['limit' => Flowing::resolve($limit, $read), 'from' => array_filter($limit, is_string(...))]
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

        return [...$out, ...self::of($step->card, $position, '')];
    }

    /** @return array<string, array{float, string}> */
    private static function of(Card $card, ?string $position, string $prefix): array
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
            $name = $position !== null && str_ends_with((string) $id, Steps::at('', $position))
                ? substr((string) $id, 0, -strlen(Steps::at('', $position)))
                : (string) $id;
            if ($value !== null) {
                $out[$prefix.$name] = $value;
            }
        }

        return $out;
    }
}
