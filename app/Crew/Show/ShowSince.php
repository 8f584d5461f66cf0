<?php

declare(strict_types=1);

namespace App\Crew\Show;

use App\Crew\Model\Person;
use App\Crew\Show\View\SinceLine;
use App\Crew\Show\View\SinceRoom;
use App\Crew\Show\View\SinceView;
use App\Crew\SinceWords;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;

/**
 * What others did since somebody was last here, room by room: from the last thing that they did before they signed in
 * this time.
 */
final readonly class ShowSince
{
    /** So many records are gone through, and so many of a room told one by one. */
    private const MOST = 5000;

    private const TOLD = 40;

    private const ROOMS = ['Fleet', 'Visits', 'Crew', 'Floor', 'Bench', 'Deferrals', 'Release', 'Library', 'Stores'];

    public function __construct(private Clock $clock) {}

    public function for(Person $me): SinceView
    {
        $who = "{$me->name} ({$me->stamp})";
        $in = (int) DB::table('records')->where([
            'what' => 'person.signed_in', 'subject' => "person:{$me->id}",
        ])->max('id');
        $last = DB::table('records')->where('who', $who)->where('id', '<', $in)->orderByDesc('id')->first(['id', 'at']);
        $rows = DB::table('records')->where('id', '>', $last->id ?? 0)->where('who', '!=', $who)
            ->orderByDesc('id')->limit(self::MOST)->get(['id', 'at', 'who', 'what', 'subject', 'data']);
        $told = $counts = [];
        $things = 0;
        foreach ($rows as $row) {
            [$room, $words, $single] = SinceWords::of($row->what) ?? [null, '', false];
            if ($room === null) {
                continue;
            }
            $things++;
            if (! $single || count($told[$room] ?? []) >= self::TOLD) {
                $counts[$room][$words] = ($counts[$room][$words] ?? 0) + 1;

                continue;
            }
            $about = SinceWords::about(
                (array) json_decode($row->data, true, 16, JSON_THROW_ON_ERROR),
                $this->clock->words(...),
            );
            $told[$room][] = new SinceLine(
                $row->id,
                $this->clock->local(Instant::parse($row->at)),
                $row->who === 'system' ? 'by itself' : $row->who,
                ucfirst($words).($about === '' ? '' : ": {$about}"),
                SinceWords::link($row->subject),
            );
        }
        $rooms = [];
        foreach (self::ROOMS as $room) {
            if (isset($told[$room]) || isset($counts[$room])) {
                $rooms[] = new SinceRoom($room, $told[$room] ?? [], array_map(
                    static fn(string $words, int $many): string => $many === 1 ? $words : "{$many} × {$words}",
                    array_keys($counts[$room] ?? []),
                    $counts[$room] ?? [],
                ));
            }
        }
        $from = $last === null ? null : $this->clock->local(Instant::parse($last->at));

        return new SinceView(
            match (true) {
                $rooms === [] => $from === null ? 'Nothing has changed yet.' : "Nothing has changed since {$from}.",
                $from === null => 'You are here for the first time: this is what is on the record.',
                default => 'Since you were last here, on '.$from.', '.Words::count($things, 'thing')
                    .' changed in '.Words::count(count($rooms), 'room').'.',
            },
            $rooms,
        );
    }
}
