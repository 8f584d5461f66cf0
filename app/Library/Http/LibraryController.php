<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Fleet\Model\AircraftType;
use App\Library\Do\BringIn;
use App\Library\Do\ProgrammeFile;
use App\Library\LibraryWords;
use App\Library\Model\CardTemplate;
use App\Library\Model\CardVersion;
use App\Library\Model\Import;
use App\Library\Model\ImportKind;
use App\Library\Model\Manual;
use App\Library\Show\ShowProgramme;
use App\Library\Show\View\ImportView;
use App\Library\Show\View\LibraryView;
use App\Library\Show\View\ManualView;
use App\Library\Show\View\ProgrammeRoom;
use App\Library\Show\View\ProgrammeView;
use App\Library\Show\View\TemplateView;
use App\Shared\Http\Api;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Jorvel\Core\Library\CardState;

/** The room Library: programme, manuals, card templates, and what is brought in. */
final class LibraryController
{
    #[Api('library', LibraryView::class, 'Programmes, manuals and templates')]
    public function index(): JsonResponse
    {
        $templates = CardTemplate::with('manual')->orderBy('code')->get();
        $types = AircraftType::withCount('items')->orderBy('code')->get();
        $codes = $types->pluck('code', 'id');
        $stale = $templates->filter(static fn(CardTemplate $t): bool => $t->revision !== $t->revisionInForce());
        $drafts = CardVersion::whereIn('state', [CardState::Draft, CardState::Checked])->get()->mapWithKeys(
            static fn(CardVersion $v): array => ["{$v->type_id} {$v->code}" => LibraryWords::state($v->state)],
        )->all();
        $sentence = match ($stale->count()) {
            0 => 'Every card template stands at its manual\'s revision.',
            1 => "{$stale->first()?->code} must be re-read: its manual has a newer revision.",
            default => "{$stale->count()} card templates must be re-read: their manuals have newer revisions.",
        };

        return new JsonResponse(new LibraryView(
            $sentence,
            array_values(
                $types
                    ->map(
                        static fn(AircraftType $t): ProgrammeView
                            => new ProgrammeView(
                                $t->code,
                                $t->name,
                                $t->arrangement,
                                (int) $t->getAttribute('items_count'),
                            ),
                    )
                    ->all(),
            ),
            array_values(
                Manual::orderBy('code')
                    ->get()
                    ->map(
                        static fn(Manual $m): ManualView
                            => new ManualView(
                                $m->code,
                                $m->title,
                                $m->revision,
                                $templates->where('manual_id', $m->id)->count(),
                                $stale->where('manual_id', $m->id)->count(),
                            ),
                    )
                    ->all(),
            ),
            array_values(
                $templates->map(
                    static fn(CardTemplate $t): TemplateView
                        => new TemplateView(
                            $t->code,
                            $codes[$t->type_id],
                            $t->title,
                            $t->chapter,
                            $t->manual->code,
                            $t->revision,
                            $t->revision === $t->revisionInForce() ? 'clear' : 'stop',
                            count($t->expanded()),
                            $t->hours,
                            $t->independent_inspection,
                            $drafts["{$t->type_id} {$t->code}"] ?? null,
                        ),
                )->all(),
            ),
        ));
    }

    #[Api('programme', ProgrammeRoom::class, 'One programme with its items')]
    public function programme(string $type, ShowProgramme $read): JsonResponse
    {
        return new JsonResponse($read->of($type));
    }

    /** A programme as a file that can be brought in again. */
    public function file(string $type, string $form): Response
    {
        $of = AircraftType::where('code', $type)->firstOrFail();

        return new Response($form === 'csv' ? ProgrammeFile::csv($of) : ProgrammeFile::json($of), 200, [
            'Content-Type' => $form === 'csv' ? 'text/csv; charset=utf-8' : 'application/json',
            'Content-Disposition' => "attachment; filename=\"programme-{$of->code}.{$form}\"",
        ]);
    }

    #[Api('lookAtImport', ImportView::class, 'What it would change; nothing is saved')]
    public function look(LookRequest $request, BringIn $bring): JsonResponse
    {
        return new JsonResponse(
            $bring->look(
                $request->person(),
                ImportKind::from($request->string('kind')->value()),
                $request->string('name')->value(),
                (string) $request->input('text'),
            ),
        );
    }

    #[Api('applyImport', ImportView::class, 'Applied')]
    public function apply(int $id, ApplyRequest $request, BringIn $bring): JsonResponse
    {
        return new JsonResponse($bring->apply($request->person(), Import::findOrFail($id), $request->boolean('sure')));
    }
}
