<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Do\NewReport;
use App\Deferrals\Do\Reports;
use App\Deferrals\Show\ShowReports;
use App\Deferrals\Show\View\ReportPage;
use App\Deferrals\Show\View\ReportsFileView;
use App\Deferrals\Show\View\ReportsView;
use App\Fleet\Do\CrewFeed;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Severity;
use App\Shared\Clock;
use App\Shared\Http\Api;
use App\Shared\Http\RoomRequest;
use App\Shared\Http\ViewRequest;
use App\Shared\Refused;
use Illuminate\Http\JsonResponse;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;

/** What crews report, from the flight to its end. */
final class ReportController
{
    public function __construct(private readonly ShowReports $show, private readonly Reports $reports) {}

    #[Api('reports', ReportsView::class, 'Crew reports')]
    public function index(ViewRequest $request): JsonResponse
    {
        return new JsonResponse($this->show->all($request->person()));
    }

    #[Api('report', ReportPage::class, 'One crew report')]
    public function show(int $id, ViewRequest $request): JsonResponse
    {
        return $this->page($request, $id);
    }

    #[Api('enterReport', ReportPage::class, 'The report, sorted', 201)]
    public function enter(ReportRequest $request, Clock $clock): JsonResponse
    {
        $text = fn(string $field): string => trim($request->string($field)->value());
        try {
            $at = $text('at') === '' ? $clock->now() : Instant::parse($text('at'));
        } catch (InputError $e) {
            throw Refused::because("When it happened {$e->getMessage()}. Nothing was saved.");
        }
        [$made] = $this->reports->enter($request->person(), [new NewReport(
            Aircraft::with('type')->where('mark', $text('mark'))->firstOrFail(),
            $text('flight'),
            $at,
            $text('crew'),
            $text('text'),
            $text('chapter') === '' ? null : $text('chapter'),
            'typed',
        )]);

        return new JsonResponse($this->show->one($made->id, $request->person()), 201);
    }

    #[Api('bringReports', ReportsFileView::class, 'What it would enter, or entered')]
    public function bring(ReportsFileRequest $request, CrewFeed $programme): JsonResponse
    {
        $given = (string) $request->input('text', '');
        $text = $given === '' ? $programme->reports() : $given;
        $rows = $this->show->read($text, $given === '' ? 'programme' : 'file');
        if ($request->boolean('enter')) {
            $this->reports->enter($request->person(), $rows);
        }

        return new JsonResponse($this->show->file($rows, $text, $request->boolean('enter')));
    }

    #[Api('sortReport', ReportPage::class, 'The report')]
    public function sort(int $id, SortReportRequest $request): JsonResponse
    {
        $this->reports->sort($request->person(), $id, $request->string('chapter')->value());

        return $this->page($request, $id);
    }

    #[Api('reportFinding', ReportPage::class, 'The report, with its finding')]
    public function finding(int $id, ReportFindingRequest $request): JsonResponse
    {
        $this->reports->finding(
            $request->person(),
            $id,
            trim($request->string('place')->value()),
            Severity::from($request->string('severity')->value()),
        );

        return $this->page($request, $id);
    }

    #[Api('testReport', ReportPage::class, 'The report, with its test made')]
    public function test(int $id, ReportTestRequest $request): JsonResponse
    {
        $this->reports->test($request->person(), $id, $request->string('template')->value());

        return $this->page($request, $id);
    }

    #[Api('noFault', ReportPage::class, 'The report, ended')]
    public function noFault(int $id, NoFaultRequest $request): JsonResponse
    {
        $this->reports->noFault(
            $request->person(),
            $id,
            $request->integer('card'),
            trim($request->string('said')->value()),
        );

        return $this->page($request, $id);
    }

    private function page(RoomRequest $request, int $id): JsonResponse
    {
        return new JsonResponse($this->show->one($id, $request->person()));
    }
}
