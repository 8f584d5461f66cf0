<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Show\View\BenchRow;
use App\Bench\Show\View\BenchView;
use App\Floor\Model\Step;
use App\Shared\Http\Api;
use App\Visits\Model\Visit;
use Illuminate\Http\JsonResponse;

/** The room Bench: functional tests and rigging sheets wherever they stand on cards. */
final class BenchController
{
    #[Api('bench', BenchView::class, 'Tests and rigging sheets')]
    public function index(): JsonResponse
    {
        $rows = Step::with(['card.aircraft', 'runs'])->whereIn('kind', ['test', 'rig'])
            ->whereHas('card.visit', static fn($q) => $q->where('state', '!=', Visit::RELEASED))
                ->orderBy('card_id')
                ->orderBy('no')
                ->get()
            ->map(static function (Step $s): BenchRow {
                $runs = $s->runs->count();

                return new BenchRow(
                    $s->card_id,
                    $s->card->number,
                    $s->card->aircraft->mark,
                    $s->no,
                    $s->kind,
                    $s->title,
                    $s->state === Step::DONE ? 'clear' : 'waiting',
                    $s->state === Step::DONE ? 'done' : ($runs > 0 ? "run {$runs} in hand" : 'not begun'),
                );
            });
        $open = $rows->where('state', 'waiting')->count();

        return new JsonResponse(new BenchView(match (true) {
            $rows->isEmpty() => 'No test or rigging is on an open card. They come here from the cards of a visit.',
            $open === 0 => 'Every test and rigging sheet on the open cards is done.',
            $open === 1 => 'One test or rigging sheet is still to be worked.',
            default => "{$open} tests and rigging sheets are still to be worked.",
        }, $rows->all()));
    }
}
