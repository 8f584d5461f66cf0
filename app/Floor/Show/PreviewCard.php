<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Fleet\Model\AircraftType;
use App\Floor\FloorWords;
use App\Floor\Model\Step;
use App\Floor\Show\View\CardPreview;
use App\Floor\Show\View\FaultView;
use App\Floor\Show\View\PointView;
use App\Floor\Show\View\StepView;
use App\Floor\StepWords;
use App\Library\LibraryWords;
use App\Library\Model\Figure;
use App\Library\Show\View\FigureView;
use Jorvel\Core\Floor\Handling;
use Jorvel\Core\Library\Steps;
use Jorvel\Core\Shared\InputError;

/** A card as the technician would get it, while it is being written: its steps on the tablet, and on paper. */
final readonly class PreviewCard
{
    public function __construct(private StepWords $paper) {}

    /**
     * @param array<string, mixed> $body as far as it is written
     * @param list<InputError> $faults that it has; a step that has one is not shown, the others are
     */
    public function of(array $body, array $faults, AircraftType $type): CardPreview
    {
        $steps = is_array($body['steps'] ?? null) ? array_values($body['steps']) : [];
        $places = $sound = [];
        foreach ($steps as $i => $step) {
            $bad = array_filter(
                $faults,
                static fn(InputError $e): bool => str_starts_with("{$e->path}.", "steps.{$i}."),
            );
            $shown = $bad === [] ? $step : [
                'kind' => 'instruction',
                'title' => is_string($step['title'] ?? null) ? $step['title'] : '',
                'text' => 'Shown as soon as it has no fault.',
            ];
            $block = Steps::holds($shown['kind']);
            $of = $block ? array_map(
                static fn(int $k): string => "{$i}.{$k}",
                array_keys($shown['spec']['steps']),
            ) : [(string) $i];
            // What begins a test, and gives its verdict, is written at the test itself.
            $of = $shown['kind'] === 'functional' ? [(string) $i, ...$of, (string) $i] : $of;
            foreach ($shown['spec']['positions'] ?? [''] as $position) {
                $places = [...$places, ...$of];
            }
            $sound[] = $shown;
        }
        $views = $paper = [];
        $expanded = Figure::stamped(Steps::expand($sound), $type->id);
        foreach ($expanded as $i => $step) {
            $row = (new Step)->forceFill([
                'no' => $i + 1, 'kind' => $step['kind'], 'title' => $step['title'], 'text' => $step['text'] ?? '',
                'spec' => $step['spec'] ?? [], 'state' => Step::OPEN, 'result' => null,
            ]);
            $views[] = self::view($row);
            $paper[] = implode("\n", $this->paper->asked($row));
        }

        return new CardPreview(
            array_map(static fn(InputError $e): FaultView => new FaultView(
                $e->path,
                LibraryWords::place($e->path, $steps),
                $e->getMessage(),
            ), $faults),
            $faults === [] ? LibraryWords::leaves($expanded) : [],
            $views,
            $paper,
            $places,
            array_values(Figure::of(array_map(static fn(array $s): array => $s['spec'] ?? [], $expanded), $type->id)
                ->map(static fn(Figure $f): FigureView => FigureView::of($f, $type->code))->all()),
        );
    }

    private static function view(Step $step): StepView
    {
        $applies = $step->spec['applies'] ?? null;

        return new StepView(
            no: $step->no,
            kind: $step->kind,
            title: $step->title,
            text: $step->text,
            spec: (object) $step->spec,
            state: Step::OPEN->value,
            held: null,
            acts: $step->acts(),
            holds: [],
            fallsWith: [],
            startedAt: null,
            heldFor: null,
            result: (object) [],
            doneBy: null,
            doneAt: null,
            readings: [],
            runs: [],
            notFor: null,
            mayNotApply: false,
            points: array_map(
                static fn(array $p): PointView => new PointView($p['id'], $p['place'], 'open', '', null, null, null),
                $step->kind === 'circuit' ? $step->spec['points'] : [],
            ),
            remarks: [],
            mark: null,
            handles: [
                ...FloorWords::handles(Handling::of($step->spec)),
                ...$applies === null ? [] : [FloorWords::appliesTo($applies)],
            ],
        );
    }
}
