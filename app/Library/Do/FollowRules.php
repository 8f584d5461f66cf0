<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Library\Model\CardTemplate;
use App\Library\Model\FollowRule;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Library\FollowRule as Rule;
use Jorvel\Core\Shared\InputError;

/** Rules of what follows: proposed by one, in force once another has agreed; every version is kept. */
final readonly class FollowRules
{
    public function __construct(private Clock $clock, private Records $records) {}

    /**
     * @param \stdClass $body as in core/schema/follows.json
     * @param int|null $seen version that the writer saw; null for a new rule
     *
     * @throws Refused where it says what it said before, or somebody else wrote meanwhile
     */
    public function propose(Person $by, AircraftType $type, \stdClass $body, string $reason, ?int $seen): FollowRule
    {
        return DB::transaction(function () use ($by, $type, $body, $reason, $seen): FollowRule {
            $rule = self::check($type, $body);
            $of = FollowRule::where(['type_id' => $type->id, 'code' => $rule->code])->orderByDesc('version')->get();
            $last = $of->first();
            if ($last !== null && $seen === null) {
                throw Refused::because("There is a rule {$rule->code} already. Change that one. Nothing was saved.");
            }
            if ($last?->version !== $seen) {
                throw Refused::stale("Somebody else changed {$rule->code} meanwhile. What you wrote is still here; "
                    .'nothing was saved.', $last?->object());
            }
            if ($last !== null && $last->state !== 'withdrawn' && self::same($last->object(), $body)) {
                throw Refused::because("{$rule->code} says that already. Nothing was saved.");
            }
            $of->where('state', FollowRule::PROPOSED)->each(static fn(FollowRule $r): bool
                => $r->update(['state' => 'replaced']));
            $new = FollowRule::create([
                'type_id' => $type->id, 'code' => $rule->code, 'version' => ($last->version ?? 0) + 1,
                'body' => json_decode((string) json_encode($body), true), 'state' => FollowRule::PROPOSED,
                'proposed_by' => $by->id, 'proposed_at' => (string) $this->clock->now(), 'reason' => $reason,
            ]);
            $this->record($by, 'proposed', $new, ['reason' => $reason, 'body' => $new->body]);

            return $new;
        });
    }

    /**
     * @param string|null $why it is declined; null where it comes in force
     *
     * @throws Refused for one that is decided, or one's own
     */
    public function decide(Person $by, int $id, ?string $why): FollowRule
    {
        return DB::transaction(function () use ($by, $id, $why): FollowRule {
            $rule = FollowRule::with('type')->findOrFail($id);
            if ($rule->state !== FollowRule::PROPOSED) {
                throw Refused::because('It is decided already. Nothing was changed.');
            }
            if ($rule->proposed_by === $by->id) {
                throw Refused::because('You proposed it; somebody else brings it in force. Nothing was changed.');
            }
            if ($why === null) {
                // What it rests on may have changed since.
                self::check($rule->type, $rule->object());
                FollowRule::inForce($rule->type_id)->where('code', $rule->code)->update(['state' => 'replaced']);
            }
            $rule->update([
                'state' => $why === null ? FollowRule::IN_FORCE : 'declined', 'decided_by' => $by->id,
                'decided_at' => (string) $this->clock->now(), 'why' => $why ?? '',
            ]);
            $this->record($by, $rule->state, $rule, $why === null ? [] : ['why' => $why]);

            return $rule;
        });
    }

    /** @throws Refused for one that is not in force, or that a card reads against */
    public function withdraw(Person $by, int $id, string $why): FollowRule
    {
        return DB::transaction(function () use ($by, $id, $why): FollowRule {
            $rule = FollowRule::with('type')->findOrFail($id);
            if ($rule->state !== FollowRule::IN_FORCE) {
                throw Refused::because("{$rule->code} is not in force. Nothing was changed.");
            }
            $cards = CardTemplate::where('type_id', $rule->type_id)->get()->filter(
                static fn(CardTemplate $t): bool => str_contains(
                    (string) json_encode($t->steps),
                    "\"rule\":\"{$rule->code}\"",
                ),
            )->pluck('code');
            if ($cards->isNotEmpty()) {
                throw Refused::because("{$cards->implode(', ')} read".($cards->count() === 1 ? 's' : '')
                    ." against {$rule->code}. Change them first; nothing was changed.");
            }
            $rule->update([
                'state' => 'withdrawn', 'decided_by' => $by->id, 'decided_at' => (string) $this->clock->now(),
                'why' => $why,
            ]);
            $this->record($by, 'withdrawn', $rule, ['why' => $why]);

            return $rule;
        });
    }

    /** @throws InputError for a shape that is none, or a card that is not in Library */
    public static function check(AircraftType $type, \stdClass $body): Rule
    {
        $rule = Rule::of($body);
        $known = CardTemplate::where('type_id', $type->id)->whereIn('code', $rule->cards())->pluck('code')->all();
        foreach (array_diff($rule->cards(), $known) as $code) {
            throw InputError::notAmong(self::placeOf($body, $code), "cards of the {$type->code}", $code);
        }

        return $rule;
    }

    public static function same(\stdClass $one, \stdClass $other): bool
    {
        return $one === $other;
    }

    private static function placeOf(\stdClass $body, string $code): string
    {
        $lists = ['then' => $body->then ?? []];
        foreach ($body->exceeded->rows ?? [] as $i => $row) {
            $lists["exceeded.rows.{$i}.then"] = $row->then ?? [];
        }
        foreach ($lists as $at => $list) {
            foreach ($list as $i => $follow) {
                if (($follow->card ?? null) === $code) {
                    return "{$at}.{$i}.card";
                }
            }
        }

        return 'then';
    }

    /** @param array<string, mixed> $more */
    private function record(Person $by, string $what, FollowRule $rule, array $more): void
    {
        $this->records->write($by, "rule.{$what}", "rule:{$rule->id}", [
            'code' => $rule->code, 'version' => $rule->version, ...$more,
        ]);
    }
}
