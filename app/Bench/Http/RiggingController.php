<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Show\ForetellTurns;
use App\Bench\Show\PrintRigging;
use App\Bench\Show\RiggingFile;
use App\Bench\Show\ShowRiggings;
use App\Bench\Show\View\ForetoldView;
use App\Bench\Show\View\RiggingsRoom;
use App\Bench\Show\View\RiggingView;
use App\Floor\Model\Step;
use App\Shared\Http\Api;
use App\Shared\Http\Pdf;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Riggings: listed, as they were, on paper and in files. */
final class RiggingController
{
    #[Api('riggings', RiggingsRoom::class, 'Riggings in hand and of the past')]
    public function index(ViewRequest $request, ShowRiggings $read): JsonResponse
    {
        return new JsonResponse($read->room());
    }

    #[Api('rigging', RiggingView::class, 'A rigging as it was')]
    public function show(int $id, ViewRequest $request, ShowRiggings $read): JsonResponse
    {
        return new JsonResponse($read->one($this->step($id)));
    }

    #[Api('foretellTurns', ForetoldView::class, 'What would probably be read; nothing is kept')]
    public function foretell(int $id, int $no, TurnsRequest $request, ForetellTurns $read): JsonResponse
    {
        $step = Step::with(['runs', 'card'])->where(['card_id' => $id, 'no' => $no, 'kind' => 'rig'])->firstOrFail();

        return new JsonResponse($read->of($step, array_map(strval(...), (array) $request->validated('entries'))));
    }

    public function csv(int $id, ViewRequest $request, RiggingFile $file): Response
    {
        $step = $this->step($id);

        return new Response($file->csv($step), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.$this->name($step).'.csv"',
        ]);
    }

    #[Api('riggingFile', null, 'The rigging with its model, as a file')]
    public function json(int $id, ViewRequest $request, RiggingFile $file): Response
    {
        $step = $this->step($id);
        $flags = JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES;

        return new Response(json_encode($file->json($step), $flags), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="'.$this->name($step).'.json"',
        ]);
    }

    public function pdf(int $id, ViewRequest $request, ShowRiggings $read, PrintRigging $print): Response
    {
        $step = $this->step($id);

        return Pdf::of($print->of($step, $read->one($step)), $this->name($step).'.pdf');
    }

    private function step(int $id): Step
    {
        return Step::with(['card.aircraft', 'runs'])->where('kind', 'rig')->findOrFail($id);
    }

    private function name(Step $step): string
    {
        return "rigging-{$step->card->aircraft->mark}-{$step->card->number}-{$step->no}";
    }
}
