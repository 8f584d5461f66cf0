<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Floor\Show\PreviewCard;
use App\Floor\Show\View\CardPreview;
use App\Library\Do\BulkEdit;
use App\Library\Do\CardDesk;
use App\Library\Do\TemplateFile;
use App\Library\Model\CardVersion;
use App\Library\Show\ShowCards;
use App\Library\Show\View\BulkView;
use App\Library\Show\View\CardChange;
use App\Library\Show\View\CardChoices;
use App\Library\Show\View\CardRoom;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Card templates: written, checked, in force; compared, taken away as a file, changed many at once. */
final class CardController
{
    #[Api('cardTemplate', CardRoom::class, 'One card template')]
    public function show(string $type, string $code, ViewRequest $request, ShowCards $read): JsonResponse
    {
        return new JsonResponse($read->one($type, $code, $request->person()));
    }

    #[Api('cardChoices', CardChoices::class, 'What the fields of a card may be')]
    public function choices(string $type, ShowCards $read): JsonResponse
    {
        return new JsonResponse($read->choices($this->type($type)));
    }

    #[Api('compareCard', [CardChange::class], 'Where two versions differ')]
    public function compare(string $type, int $from, int $to, string $code, ShowCards $read): JsonResponse
    {
        return new JsonResponse($read->changes($type, $code, $from, $to));
    }

    #[Api('previewCard', CardPreview::class, 'As the technician would get it, with every fault; nothing is saved')]
    public function preview(string $type, WriteCardRequest $request, PreviewCard $preview): JsonResponse
    {
        $body = $request->body();
        $of = $this->type($type);

        return new JsonResponse($preview->of($body, TemplateFile::faults(TemplateFile::asObject($body), $of), $of));
    }

    #[Api('saveCard', CardRoom::class, 'The card with its draft')]
    public function save(string $type, WriteCardRequest $request, CardDesk $desk, ShowCards $read): JsonResponse
    {
        $draft = $desk->save(
            $request->person(),
            $this->type($type),
            $request->body(),
            $request->string('note')->value(),
            $request->input('version') === null ? null : $request->integer('version'),
        );

        return new JsonResponse($read->one($type, $draft->code, $request->person()));
    }

    #[Api('checkCard', CardRoom::class, 'The card, checked')]
    public function check(int $id, CardStateRequest $request, CardDesk $desk, ShowCards $read): JsonResponse
    {
        return $this->signed($id, $request, $desk->check(...), $read);
    }

    #[Api('forceCard', CardRoom::class, 'The card, in force')]
    public function force(int $id, CardStateRequest $request, CardDesk $desk, ShowCards $read): JsonResponse
    {
        return $this->signed($id, $request, $desk->force(...), $read);
    }

    #[Api('discardCard', CardRoom::class, 'The card without its draft')]
    public function discard(int $id, DiscardCardRequest $request, CardDesk $desk, ShowCards $read): JsonResponse
    {
        $draft = $this->draft($id);
        $desk->discard($request->person(), $draft, $request->integer('version'));

        return new JsonResponse($read->one($draft->type->code, $draft->code, $request->person()));
    }

    #[Api('bulkCards', BulkView::class, 'What it does to many cards; saved as drafts where that is asked')]
    public function bulk(string $type, BulkRequest $request, BulkEdit $bulk): JsonResponse
    {
        $of = $this->type($type);
        $change = [
            $request->string('what')->value(),
            trim($request->string('from')->value()),
            trim($request->string('to')->value()),
        ];

        return new JsonResponse(
            $request->boolean('save')
                ? $bulk->apply($request->person(), $of, ...$change)
                : $bulk->look($of, ...$change),
        );
    }

    /** Every card of a type as a file that can be brought in again. */
    public function file(string $type): Response
    {
        $of = $this->type($type);

        return new Response(TemplateFile::json($of), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"cards-{$of->code}.json\"",
        ]);
    }

    /** @param Closure(Person, CardVersion, int, string, string): void $step */
    private function signed(int $id, CardStateRequest $request, Closure $step, ShowCards $read): JsonResponse
    {
        $draft = $this->draft($id);
        $step(
            $request->person(),
            $draft,
            $request->integer('version'),
            $request->string('stamp')->value(),
            $request->string('pin')->value(),
        );

        return new JsonResponse($read->one($draft->type->code, $draft->code, $request->person()));
    }

    private function type(string $code): AircraftType
    {
        return AircraftType::where('code', $code)->firstOrFail();
    }

    private function draft(int $id): CardVersion
    {
        return CardVersion::with('type')->findOrFail($id);
    }
}
