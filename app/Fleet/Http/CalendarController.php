<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Model\CalendarLink;
use App\Fleet\Model\Fleet;
use App\Fleet\Show\CalendarFeed;
use App\Fleet\Show\View\CalendarLinkView;
use App\Shared\Clock;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use App\Shared\Records;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Jorvel\Core\Shared\Instant;

/** Calendar links: made, revoked, and read by whoever holds the address. */
final readonly class CalendarController
{
    public function __construct(private Clock $clock, private Records $records) {}

    #[Api('calendarLinks', [CalendarLinkView::class], 'One\'s own links; for a controller, everybody\'s')]
    public function index(ViewRequest $request): JsonResponse
    {
        return new JsonResponse(
            array_values(
                CalendarLink::with('person')
                    ->unless(
                        $request->person()->can('edit', Fleet::class),
                        static fn($q) => $q->where('person_id', $request->person()->id),
                    )
                    ->orderByDesc('id')
                    ->get()
                    ->map(fn(CalendarLink $l): CalendarLinkView => $this->view($l))
                    ->all(),
            ),
        );
    }

    #[Api('makeCalendarLink', CalendarLinkView::class, 'The link with its address, shown this once', status: 201)]
    public function store(CalendarLinkRequest $request): JsonResponse
    {
        [$link, $token] = CalendarLink::make(
            $request->person(),
            $request->string('name')->value(),
            $this->clock,
            $this->records,
        );

        return new JsonResponse($this->view($link, url("/calendar/{$token}.ics")), 201);
    }

    #[Api('revokeCalendarLink', CalendarLinkView::class, 'Revoked')]
    public function revoke(int $id, ViewRequest $request): JsonResponse
    {
        Gate::authorize('edit', Fleet::class);
        $link = CalendarLink::with('person')->findOrFail($id);
        $link->revoke($request->person(), $this->clock, $this->records);

        return new JsonResponse($this->view($link));
    }

    /** The calendar itself, for whoever holds the address; a wrong or revoked one is simply not there. */
    public function read(string $token, CalendarFeed $feed): Response
    {
        $link = CalendarLink::standing($token, $this->clock->today()) ?? abort(404);
        $link->update(['read_at' => (string) $this->clock->now()]);

        return new Response(
            $feed->text(),
            200,
            ['Content-Type' => 'text/calendar; charset=utf-8', 'Cache-Control' => 'private, no-store'],
        );
    }

    private function view(CalendarLink $link, ?string $address = null): CalendarLinkView
    {
        $local = fn(?Instant $at): ?string => $at === null ? null : $this->clock->local($at);

        return new CalendarLinkView(
            $link->id,
            $link->name,
            $link->person->name,
            (string) $local($link->made_at),
            $local($link->read_at),
            $local($link->revoked_at) ?? ($link->held($this->clock->today()) ? null : 'ended with its holder'),
            $address,
        );
    }
}
