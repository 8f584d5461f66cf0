<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Do\Instruments;
use App\Bench\Show\View\ShownView;
use App\Bench\Show\View\TakenView;
use App\Bench\Show\View\TokenView;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use App\Shared\Words;
use App\Stores\Model\Tool;
use Illuminate\Http\JsonResponse;

/** Instruments that send what they show. */
final class InstrumentController
{
    #[Api('sendReadings', TakenView::class, 'What was taken', 201)]
    public function take(InstrumentRequest $request, Instruments $instruments): JsonResponse
    {
        $tool = $instruments->toolOf((string) $request->bearerToken());
        if ($tool === null) {
            return new JsonResponse(['message' => 'No instrument has this token. Nothing was taken.'], 401);
        }
        /** @var list<array{value?: float|int|null, unit?: string, said?: string|null}> $readings */
        $readings = array_values($request->array('readings'));

        return new JsonResponse(new TakenView($instruments->take($tool, $readings), $tool->code), 201);
    }

    #[Api('shown', ShownView::class, 'What the tool shows now')]
    public function shown(string $code, ViewRequest $request, Instruments $instruments): JsonResponse
    {
        $tool = Tool::where('code', $code)->firstOrFail();
        $is = $instruments->shown($tool);

        return new JsonResponse(new ShownView(
            $is === null ? null : ($is->value === null ? (string) $is->said : (string) round($is->value, 6)),
            $is === null
                ? "{$tool->code} sends nothing just now. Switch it on, or enter what it shows."
                : "{$tool->code} shows "
                    .($is->value === null ? (string) $is->said : Words::number($is->value, 4)." {$is->unit}").'.',
        ));
    }

    #[Api('instrumentToken', TokenView::class, 'A new token; it is shown once', 201)]
    public function token(string $code, TokenRequest $request, Instruments $instruments): JsonResponse
    {
        $tool = Tool::where('code', $code)->firstOrFail();

        return new JsonResponse(new TokenView(
            $instruments->token($request->person(), $tool),
            $tool->code,
            url('/api/instruments/readings'),
        ), 201);
    }
}
