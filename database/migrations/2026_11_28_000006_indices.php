<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whatever refers to a row is found from it without a scan: every foreign key has an index. */
return new class extends Migration {
    private const WITHOUT = [
        'acting' => ['ended_by', 'begun_by', 'step_id', 'card_id'],
        'aircraft' => ['fleet_id', 'type_id'],
        'assignments' => ['person_id', 'under_id'],
        'bay_slots' => ['bay_id'],
        'calendar_links' => ['person_id'],
        'card_hands' => ['person_id'],
        'card_parts' => ['part_id'],
        'card_templates' => ['manual_id', 'type_id', 'of_id'],
        'card_waits' => ['after_id'],
        'cards' => [
            'component_id', 'visit_id', 'aircraft_id', 'template_id', 'item_id', 'signed_by', 'inspected_by',
            'finding_id',
        ],
        'deferrals' => ['deferred_by', 'listed_item_id', 'aircraft_id'],
        'findings' => ['raised_by', 'card_id'],
        'fitted_parts' => ['person_id', 'aircraft_id', 'step_id', 'card_id', 'batch_id', 'part_id'],
        'flying_entries' => ['person_id', 'corrects_id'],
        'handovers' => ['taken_by', 'person_id', 'card_id'],
        'imports' => ['person_id'],
        'item_doings' => ['visit_id', 'component_id', 'item_id'],
        'item_statuses' => ['item_id'],
        'listed_items' => ['type_id'],
        'manuals' => ['type_id'],
        'part_batches' => ['part_id'],
        'part_moves' => ['person_id'],
        'part_orders' => ['part_id'],
        'past_looks' => ['visit_id', 'type_id'],
        'people' => ['pin_code_by', 'secrets_by'],
        'photos' => ['person_id'],
        'plan_runs' => ['person_id', 'visit_id'],
        'presences' => ['card_id'],
        'pressure_readings' => ['corrects_id', 'person_id'],
        'programme_items' => ['template_id'],
        'questions' => ['answered_by', 'asked_by', 'manual_id'],
        'readings' => ['person_id', 'card_id', 'step_id'],
        'rechecks' => ['by_card_id', 'card_id'],
        'releases' => ['person_id'],
        'rereads' => ['person_id', 'card_id', 'template_id'],
        'rota_days' => ['set_by'],
        'safing_devices' => ['carried_by', 'removed_by', 'fitted_by', 'fitted_step_id', 'card_id', 'aircraft_id'],
        'shift_places' => ['person_id', 'card_id'],
        'steps' => ['done_by'],
        'tool_checks' => ['person_id', 'tool_id'],
        'tool_loans' => ['in_by', 'person_id'],
        'tool_recalls' => ['person_id'],
        'tool_uses' => ['person_id', 'step_id', 'card_id', 'tool_id'],
        'visit_plans' => ['visit_id'],
        'visits' => ['aircraft_id'],
    ];

    public function up(): void
    {
        foreach (self::WITHOUT as $table => $columns) {
            Schema::table($table, static function (Blueprint $t) use ($columns): void {
                array_map(static fn(string $column) => $t->index($column), $columns);
            });
        }
    }
};
