<?php

declare(strict_types=1);

return [
    // The operator's own calendar: the day of a discovery and the end of an interval are local dates here.
    'timezone' => env('JORVEL_TIMEZONE', 'Europe/Oslo'),
    // Who maintains, as papers name it, and the approval under which they are signed.
    'operator' => env('JORVEL_OPERATOR', 'Vantry Air Works'),
    'approval' => env('JORVEL_APPROVAL', 'VAW-M-017'),
    'base' => env('JORVEL_BASE', 'Skarnholm'),
    // The demo world's "now"; the application's clock starts here when that world is loaded.
    'demo_now' => '2026-05-05T12:20:00Z',
    // How long before its date a limit is worth watching, in days.
    'warn_days' => 14,
    // How long before its end a shelf life is worth telling, in days.
    'shelf_days' => 30,
    // How long before it lapses a qualification is worth telling, in days.
    'lapse_days' => 60,
    // A day's flying with more than so many times what was planned, and what is usual, is asked about before it is
    // counted.
    'flying_far' => 2.0,
    // Rest: hours free between two stretches of work, at least, and hours in one stretch, at most.
    'rest_between' => 11,
    'rest_most' => 12,
    // What an independent inspection and a certificate are reckoned with on a shift, in hours; they take their time at
    // the end of the work.
    'inspect_hours' => 0.5,
    'certify_hours' => 1.0,
    // A place that is not in the list of bays is worked at these local times, Monday to Saturday.
    'usual_hours' => ['06:00', '22:00'],
    // How many days ahead a week that breaks the rules of rest is looked for.
    'rest_ahead_days' => 28,
    // Share of people's hours that becomes work on cards: the rest goes to hand-over, fetching, and cards that do not
    // fit together.
    'usable_share' => 0.85,
    // Hours of work from which a visit is inducted and made safe by cards of its own.
    'whole_visit_hours' => 24.0,
    // Days from today by which a visit, or a free stretch of a bay, must be over: what lies beyond is a slip of
    // the pen.
    'plan_ahead_days' => 1100,
    // Hours before midnight of its last day by which an aircraft must have left its visit.
    'leave_before_midnight' => 2,
    // Hours of work that a bay does in a day, for comparing how long an aircraft stands for a block and for its phases.
    'bay_day_hours' => 48.0,
    // Days after today that a visit of its own for re-checks is proposed to last to.
    'recheck_days' => 1,
    // Days that a defect of a category may be carried where its listed item does not say less.
    'deferral_days' => ['B' => 3, 'C' => 10, 'D' => 120],
    // Flights of so many days to come are judged by what is carried; what a flight may be stated to meet.
    'sector_days' => 14,
    'flight_conditions' => [
        'icing', 'night', 'cloud', 'overwater', 'contaminated', 'passengers', 'gravel', 'hoist', 'goggles', 'deck',
        'drop',
    ],
    // A stay in which a defect may be closed is looked for so many days ahead; hours that a fix takes where nobody
    // said.
    'closure_days' => 45,
    'fix_hours' => 3.0,
    // A season: hours that a day in a visit costs, and a visit, beside life thrown away; what each hour that was to be
    // flown on such a day costs, and each flight that the programme names; what a day away from its place on the line
    // costs a phased fleet. Work of more hours than so many wants a roof. An aircraft flies at most so many times what
    // it does, where its fleet has a task.
    'season_day_hours' => 4.0,
    'season_visit_hours' => 4.0,
    'season_flying_hours' => 0.5,
    'season_sector_hours' => 3.0,
    'season_line_hours' => 0.2,
    'season_roof_hours' => 6.0,
    // What each hour of work costs beyond that share of a base's people, and beyond all of them.
    'season_full_hours' => 0.5,
    'season_over_hours' => 4.0,
    // Hours that an aircraft stands at a wash place at the most.
    'season_wash_hours' => 3.0,
    'season_fly_more' => 1.25,
    // Share of that work that is reckoned with in a season: the rest goes to induction, making safe, and waiting for
    // each other.
    'season_usable_share' => 0.8,
    // As much is worked on the line between two days of flying.
    'line_hours' => 8.0,
    // A defect that comes back within so many days, or so many flights, is a repeat.
    'repeat_days' => 30,
    'repeat_flights' => 15,
    // Days for which the calendar feed tells what falls due.
    'feed_days' => 90,
    // How far back the history of a system is told at a finding, in days.
    'history_days' => 730,
    // How long somebody called clear of a place stands for it, in seconds, where the step does not say: a card's own
    // time goes first.
    'call_stands_seconds' => 300,
    // Wrong PINs in a row until it is locked, and for how many minutes; and for how many hours a code for a first PIN
    // holds.
    'pin_tries' => 5,
    'pin_locked_minutes' => 15,
    'pin_code_hours' => 24,
    // A computation asked for over the network: its longest time in milliseconds, and how many a minute somebody may
    // ask for.
    'compute_ms' => 5000,
    'compute_a_minute' => 60,
    // Signatures, and whatever else takes a PIN, a minute and person: more than anybody gives, too few to guess with.
    'sign_a_minute' => 20,
    // Addresses of the proxies before this server, comma by comma; without any, what a request says of itself is not
    // believed.
    'proxies' => env('JORVEL_PROXIES'),
    // Where photos of findings are kept.
    'photos' => env('JORVEL_PHOTOS', storage_path('app/photos')),
];
