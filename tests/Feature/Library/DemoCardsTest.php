<?php

declare(strict_types=1);

namespace Tests\Feature\Library;

use App\Deferrals\Model\ListedItem;
use App\Fleet\Model\AircraftType;
use App\Library\Do\FollowRules;
use App\Library\Do\TemplateFile;
use App\Library\LibraryWords;
use App\Library\Model\CardTemplate;
use App\Library\Model\FollowRule;
use App\Stores\Model\Tool;
use Jorvel\Core\Shared\Unit;
use Tests\Feature\WorldCase;

/** The demo's own cards and rules stand up to what is asked of anybody's. */
final class DemoCardsTest extends WorldCase
{
    public function test_no_card_of_the_demo_has_a_fault_or_leaves_anything_unproven(): void
    {
        $bad = [];
        // What a deferral carries stays on, too.
        $safe = ListedItem::all()->map(static fn(ListedItem $i): ?string => $i->terms()->safe)->filter()->all();
        foreach (CardTemplate::with('manual')->get()->groupBy('type_id') as $type => $cards) {
            $of = AircraftType::findOrFail($type);
            foreach ($cards as $card) {
                foreach (TemplateFile::faults(TemplateFile::asObject(TemplateFile::body($card)), $of) as $e) {
                    $bad[] = "{$card->code} {$e->path}: {$e->getMessage()}";
                }
                // What makes an aircraft safe stays fitted by meaning; another card takes it off.
                $stays = $card->makes !== null || in_array($card->code, $safe, true);
                foreach ($stays ? [] : LibraryWords::leaves($card->expanded()) as $leaves) {
                    $bad[] = "{$card->code}: {$leaves}";
                }
            }
        }
        self::assertSame([
            // The gear lock pins go in again at the end and stay, until the card that lowers the aircraft.
            'OLN-32-31: What step 12 fits is taken off by no later step.',
        ], $bad);
    }

    public function test_whatever_a_card_of_the_demo_wants_read_some_tool_of_the_demo_reads(): void
    {
        $tools = Tool::all()->groupBy('kind');
        $blind = [];
        foreach (CardTemplate::all() as $card) {
            foreach ($card->expanded() as $step) {
                $reading = $step['spec']['reading'] ?? [];
                $limit = $reading['limit'] ?? [];
                $values = array_filter(
                    [$limit['min'] ?? null, $limit['max'] ?? null, $limit['nominal'] ?? null],
                    is_numeric(...),
                );
                if (! isset($reading['tool_kind']) || $values === []) {
                    continue;
                }
                $reads = $tools->get($reading['tool_kind'], collect())->contains(
                    static fn(Tool $t): bool
                        => Unit::parse($t->unit)->dimension() === Unit::parse($limit['unit'])->dimension()
                        && collect($values)->map(static fn(mixed $v): float => Unit::parse($limit['unit'])
                            ->to(Unit::parse($t->unit), (float) $v))
                            ->every(static fn(float $v): bool => $t->low <= $v && $v <= $t->high),
                );
                if (! $reads) {
                    $blind[] = "{$card->code}, {$step['title']}: {$reading['tool_kind']}, ".json_encode($limit);
                }
            }
        }
        self::assertSame([], $blind);
    }

    public function test_no_rule_of_the_demo_names_a_card_that_is_not_there(): void
    {
        $rules = FollowRule::with('type')->get();
        self::assertNotEmpty($rules);
        foreach ($rules as $rule) {
            self::assertSame($rule->code, FollowRules::check($rule->type, $rule->object())->code);
        }
    }
}
