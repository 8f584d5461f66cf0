<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Do\MapRecorder;
use App\Bench\Do\Recordings;
use App\Bench\Do\SimulatedRecorder;
use App\Bench\Model\Recorder;
use App\Bench\Model\Recording;
use App\Bench\Show\ShowRecordings;
use App\Bench\Show\View\RecordingPreview;
use App\Bench\Show\View\RecordingsRoom;
use App\Bench\Show\View\RecordingView;
use App\Bench\Show\View\ThinnedView;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Recordings: looked at, saved, drawn; and how recorders are read. */
final class RecordingController
{
    #[Api('recordings', RecordingsRoom::class, 'What recorders took')]
    public function index(ViewRequest $request, ShowRecordings $read): JsonResponse
    {
        return new JsonResponse($read->room($request->person()));
    }

    #[Api('lookAtRecording', RecordingPreview::class, 'What the file would be recorded as; nothing is saved')]
    public function look(RecordingRequest $request, Recordings $recordings, ShowRecordings $read): JsonResponse
    {
        $new = $request->recording();

        return new JsonResponse($read->preview($new, $recordings->read($new)));
    }

    #[Api('saveRecording', RecordingView::class, 'The recording', 201)]
    public function save(RecordingRequest $request, Recordings $recordings, ShowRecordings $read): JsonResponse
    {
        return new JsonResponse($read->one($recordings->save($request->person(), $request->recording())), 201);
    }

    #[Api('recording', RecordingView::class, 'One recording, without its samples')]
    public function show(int $id, ViewRequest $request, ShowRecordings $read): JsonResponse
    {
        return new JsonResponse($read->one(Recording::findOrFail($id)));
    }

    #[Api('samples', ThinnedView::class, 'A stretch of it as it is drawn')]
    public function samples(int $id, SamplesRequest $request, ShowRecordings $read): JsonResponse
    {
        return new JsonResponse($read->thinned(
            Recording::findOrFail($id),
            explode(',', $request->string('signals')->value()),
            $request->float('from'),
            $request->float('to'),
            $request->integer('many'),
        ));
    }

    /** What the simulated recorder of a type took: a run with two change-overs, from a seed. */
    public function simulated(int $id, ViewRequest $request): Response
    {
        $recorder = Recorder::findOrFail($id);
        $seed = max(1, $request->integer('seed', 1));

        return new Response(SimulatedRecorder::csv($recorder->map(), $seed, 240.0, 10.0, [
            ['t' => 120.0, 'mode' => 'manual', 'swing' => -4.9],
            ['t' => 180.0, 'mode' => 'auto', 'swing' => $seed % 2 === 0 ? 6.9 : 3.1],
        ]), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"run-{$recorder->code}-{$seed}.csv\"",
        ]);
    }

    #[Api('mapRecorder', RecordingsRoom::class, 'The recorders with the change')]
    public function map(int $id, MapRequest $request, MapRecorder $map, ShowRecordings $read): JsonResponse
    {
        $map(
            $request->person(),
            Recorder::findOrFail($id),
            $request->string('text')->value(),
            $request->integer('version'),
        );

        return new JsonResponse($read->room($request->person()));
    }
}
