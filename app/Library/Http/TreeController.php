<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Fleet\Model\AircraftType;
use App\Library\Do\FaultTrees;
use App\Library\Model\FaultTree;
use App\Library\Show\ShowTrees;
use App\Library\Show\View\TreePreview;
use App\Library\Show\View\TreesRoom;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use App\Shared\Refused;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Jorvel\Core\Shared\InputError;
use JsonException;
use stdClass;

/** Fault trees: drawn, proposed, agreed, taken away as a file. */
final class TreeController
{
    #[Api('trees', TreesRoom::class, 'The fault trees')]
    public function index(ViewRequest $request, ShowTrees $read): JsonResponse
    {
        return new JsonResponse($read->all($request->person()));
    }

    #[Api('previewTree', TreePreview::class, 'It drawn, or what is wrong with it; nothing is saved')]
    public function preview(string $type, TreeRequest $request, ShowTrees $read): JsonResponse
    {
        try {
            return new JsonResponse($read->preview(self::type($type), self::body($request)));
        } catch (Refused $e) {
            return new JsonResponse(new TreePreview('', $e->getMessage(), []));
        }
    }

    #[Api('proposeTree', TreesRoom::class, 'The fault trees with the proposal', 201)]
    public function propose(string $type, TreeRequest $request, FaultTrees $trees, ShowTrees $read): JsonResponse
    {
        $reason = trim($request->string('reason')->value());
        if ($reason === '') {
            throw Refused::because('Say why it is changed. Nothing was saved.');
        }
        try {
            $trees->propose(
                $request->person(),
                self::type($type),
                self::body($request),
                $reason,
                $request->input('version') === null ? null : $request->integer('version'),
            );
        } catch (InputError $e) {
            throw Refused::because(ucfirst(trim("{$e->path} {$e->getMessage()}")).'. Nothing was saved.');
        }

        return new JsonResponse($read->all($request->person()), 201);
    }

    #[Api('decideTree', TreesRoom::class, 'The fault trees with it decided')]
    public function decide(int $id, DecideTreeRequest $request, FaultTrees $trees, ShowTrees $read): JsonResponse
    {
        $trees->decide($request->person(), $id, $request->boolean('accept'));

        return new JsonResponse($read->all($request->person()));
    }

    public function file(int $id, ViewRequest $request): Response
    {
        $tree = FaultTree::with('type')->findOrFail($id);

        return new Response(ShowTrees::json($tree), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"tree-{$tree->code}.json\"",
        ]);
    }

    private static function type(string $code): AircraftType
    {
        return AircraftType::where('code', $code)->firstOrFail();
    }

    /** @throws Refused for what is no JSON */
    private static function body(TreeRequest $request): stdClass
    {
        try {
            $body = json_decode($request->string('text')->value(), false, 32, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw Refused::because("It is no JSON: {$e->getMessage()}. Nothing was saved.");
        }

        return $body instanceof stdClass ? $body : throw Refused::because('It is no fault tree. Nothing was saved.');
    }
}
