<?php

declare(strict_types=1);

namespace Tests\Feature\Library;

use App\Fleet\Model\AircraftType;
use App\Library\Do\FollowRules;
use App\Library\Do\TemplateFile;
use App\Library\LibraryWords;
use App\Library\Model\CardTemplate;
use App\Library\Model\FollowRule;
use Tests\Feature\WorldCase;

/** The demo's own cards and rules stand up to what is asked of anybody's. */
final class DemoCardsTest extends WorldCase
{
    public function test_no_card_of_the_demo_has_a_fault_or_leaves_anything_unproven(): void
    {
        $bad = [];
        foreach (CardTemplate::with('manual')->get()->groupBy('type_id') as $type => $cards) {
            $of = AircraftType::findOrFail($type);
            foreach ($cards as $card) {
                foreach (TemplateFile::faults(TemplateFile::asObject(TemplateFile::body($card)), $of) as $e) {
                    $bad[] = "{$card->code} {$e->path}: {$e->getMessage()}";
                }
                // What makes an aircraft safe stays fitted by meaning; another card takes it off.
                foreach ($card->makes === null ? LibraryWords::leaves($card->expanded()) : [] as $leaves) {
                    $bad[] = "{$card->code}: {$leaves}";
                }
            }
        }
        // The gear lock pins go in again at the end and stay, until the card that lowers the aircraft.
        self::assertSame(['OLN-32-31: What step 12 fits is taken off by no later step.'], $bad);
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
