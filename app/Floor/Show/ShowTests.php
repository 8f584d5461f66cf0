<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Floor\Do\Attempts;
use App\Floor\Do\Work\GiveVerdict;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Floor\Model\TestAttempt;
use App\Floor\Show\View\AttemptView;
use App\Floor\Show\View\LimitRuleView;
use App\Floor\Show\View\TestView;
use App\Floor\TestWords;
use App\Library\Model\FollowRule;
use App\Shared\Clock;
use Illuminate\Support\Collection;
use Jorvel\Core\Floor\AttemptState;

/** The functional tests of a card. */
final readonly class ShowTests
{
    public function __construct(private Clock $clock) {}

    /** @return list<TestView> nothing is read for a card without one */
    public function of(Card $card): array
    {
        $begins = $card->steps->where('kind', 'attempt');
        if ($begins->isEmpty()) {
            return [];
        }
        $attempts = TestAttempt::with(['beginner', 'breaker', 'ender'])->where('card_id', $card->id)
            ->orderByDesc('no')->get()->groupBy('key');
        $rules = $begins->flatMap(static fn(Step $s): array => array_column($s->spec['limits'] ?? [], 'rule'))
            ->unique();
        $tables = $rules->isEmpty() ? collect() : FollowRule::inForce($card->aircraft->type_id)
            ->whereIn('code', $rules)->get()->keyBy('code');

        return array_values($begins->map(
            fn(Step $s): TestView => $this->test(
                $card,
                $s,
                $attempts->get($s->spec['test']['key']) ?? collect(),
                $tables,
            ),
        )->all());
    }

    public function attempt(TestAttempt $a): AttemptView
    {
        return new AttemptView(
            $a->id,
            $a->no,
            $a->state->value,
            TestWords::look($a->state),
            ucfirst(TestWords::state($a->state)),
            TestWords::attempt($a, $this->clock),
            $a->stands,
        );
    }

    /**
     * @param Collection<int, TestAttempt> $attempts the last one first
     * @param Collection<string, FollowRule> $tables by code
     */
    private function test(Card $card, Step $begin, Collection $attempts, Collection $tables): TestView
    {
        $spec = $begin->spec;
        $steps = Attempts::steps($card, $spec['test']['key']);
        $verdict = $steps->firstWhere('kind', 'verdict') ?? $begin;
        $last = $attempts->first();
        $running = $last !== null && $last->state === AttemptState::Begun ? $last : null;
        [$would] = $running === null ? [null] : GiveVerdict::stands($verdict, $running);
        $open = $steps->contains(static fn(Step $s): bool
            => $s->state === Step::OPEN && Attempts::part($s)?->skipped() === true);
        $rules = array_values(array_filter(
            $spec['limits'] ?? [],
            static fn(array $l): bool => isset($l['rule'], $l['position']) && $tables->has($l['rule']),
        ));

        return new TestView(
            $spec['test']['key'],
            $spec['test']['title'],
            $spec['system'],
            TestWords::sentence($last !== null && $last->stands ? $last : null, $would),
            $running !== null,
            $running !== null && $running->broken_at === null && $open,
            $last !== null && $last->stands && $running === null && ! $verdict->settled(),
            $spec['stop'] ?? null,
            array_map(TestWords::limit(...), $spec['limits'] ?? []),
            array_map(static fn(array $l): LimitRuleView => new LimitRuleView(
                $l['rule'],
                $l['position'],
                $l['title'],
                $l['unit'] ?? '',
            ), $rules),
            $spec['inspect'] ?? [],
            $verdict->no,
            array_values($attempts->map($this->attempt(...))->all()),
            $attempts->first(static fn(TestAttempt $a): bool => $a->finding_id !== null)?->finding_id,
        );
    }
}
