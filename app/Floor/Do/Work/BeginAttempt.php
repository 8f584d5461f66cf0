<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Floor\Model\TestAttempt;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Floor\AttemptState;

/** An attempt at a functional test is begun: under which conditions, and only where they allow it. */
final readonly class BeginAttempt implements StepKind
{
    public function __construct(private Clock $clock, private Records $records) {}

    public function answers(): array
    {
        return ['begin'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $test = $step->spec['test'];
        $conditions = array_map(
            static fn(array $c): array => self::condition($c, trim($in->entries[$c['id']] ?? '')),
            $step->spec['conditions'] ?? [],
        );
        $no = 1 + (int) TestAttempt::where(['card_id' => $step->card_id, 'key' => $test['key']])->max('no');
        $now = (string) $this->clock->now();

        return Worked::done(
            ['attempt' => $no, 'conditions' => $conditions, ...$in->note === '' ? [] : ['note' => $in->note]],
            static fn() => TestAttempt::create([
                'aircraft_id' => $step->card->aircraft_id, 'card_id' => $step->card_id, 'key' => $test['key'],
                'title' => $test['title'], 'system' => $step->spec['system'], 'chapter' => $step->card->chapter(),
                'no' => $no, 'state' => AttemptState::Begun, 'begun_by' => $by->id, 'begun_at' => $now,
                'conditions' => [
                    ...$conditions,
                    ...$in->note === '' ? [] : [['title' => 'Remark', 'said' => $in->note]],
                ],
            ]),
            fn() => $this->records->write($by, 'test.begun', "card:{$step->card_id}", [
                'test' => $test['title'], 'attempt' => $no, 'step' => $step->no,
                'conditions' => array_column($conditions, 'said', 'title'),
            ]),
        );
    }

    /**
     * @param array<string, mixed> $asked `id`, `title`, `unit`, `min`, `max`
     *
     * @return array{title: string, said: string}
     *
     * @throws Refused for one that is not said, or does not allow it
     */
    private static function condition(array $asked, string $said): array
    {
        if ($said === '') {
            throw Refused::because("Say before you begin: {$asked['title']}. Nothing was begun.");
        }
        if (! isset($asked['unit'])) {
            return ['title' => $asked['title'], 'said' => $said];
        }
        if (preg_match('/^-?[0-9]+(?:[.,][0-9]+)?$/D', $said) !== 1) {
            throw Refused::because(
                "{$asked['title']}: \"{$said}\" is no number of {$asked['unit']}. Nothing was begun.",
            );
        }
        $value = (float) strtr($said, [',' => '.']);
        if ($value < ($asked['min'] ?? -INF) || $value > ($asked['max'] ?? INF)) {
            throw Refused::because("{$asked['title']}: {$said} {$asked['unit']} does not allow it; "
                .Words::within($asked['min'] ?? null, $asked['max'] ?? null, $asked['unit'])
                .'. Wait until it does. Nothing was begun.');
        }

        return ['title' => $asked['title'], 'said' => "{$said} {$asked['unit']}"];
    }
}
