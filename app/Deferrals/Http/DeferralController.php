<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Do\CloseDeferral;
use App\Deferrals\Do\Defer;
use App\Deferrals\Do\ExtendDeferral;
use App\Deferrals\Do\Needs;
use App\Deferrals\Do\PlanClosure;
use App\Deferrals\Do\TakeDeferralBack;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Show\PrintPlacard;
use App\Deferrals\Show\ShowDeferral;
use App\Deferrals\Show\ShowDeferrals;
use App\Deferrals\Show\ShowOptions;
use App\Deferrals\Show\View\DeferralPage;
use App\Deferrals\Show\View\DeferralsView;
use App\Deferrals\Show\View\OptionsView;
use App\Shared\Http\Api;
use App\Shared\Http\Pdf;
use App\Shared\Http\RoomRequest;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Jorvel\Core\Shared\Day;

/** The room Deferrals: what is carried, from the decision to the closed log. */
final class DeferralController
{
    public function __construct(private readonly ShowDeferral $page) {}

    #[Api('deferrals', DeferralsView::class, 'Carried defects and open findings')]
    public function index(DeferralsRequest $request, ShowDeferrals $read): JsonResponse
    {
        return new JsonResponse($read->all(
            $request->has('mark') ? $request->string('mark')->value() : null,
            $request->integer('page', 1),
        ));
    }

    #[Api('deferral', DeferralPage::class, 'One deferral')]
    public function show(int $id, ViewRequest $request): JsonResponse
    {
        return $this->page($request, $id);
    }

    #[Api('deferOptions', OptionsView::class, 'Under what a finding may be carried, and under what not')]
    public function options(int $id, ViewRequest $request, ShowOptions $read): JsonResponse
    {
        return new JsonResponse($read->of($id, $request->person()));
    }

    #[Api('defer', DeferralPage::class, 'The deferral')]
    public function defer(int $id, DeferRequest $request, Defer $defer): JsonResponse
    {
        [$stamp, $pin] = self::signature($request);
        $made = $defer($request->person(), $id, $request->deferral(), $stamp, $pin);

        return $this->page($request, $made->id);
    }

    #[Api('takeDeferralBack', OptionsView::class, 'The finding, waiting for a decision again')]
    public function takeBack(int $id, TakeBackRequest $request, TakeDeferralBack $back, ShowOptions $read): JsonResponse
    {
        $finding = $back($request->person(), $id, trim($request->string('why')->value()));

        return new JsonResponse($read->of($finding->id, $request->person()));
    }

    #[Api('extendDeferral', DeferralPage::class, 'The deferral, extended')]
    public function extend(int $id, ExtendRequest $request, ExtendDeferral $extend): JsonResponse
    {
        $extend(
            $request->person(),
            $id,
            $request->integer('days'),
            trim($request->string('reason')->value()),
            trim($request->string('approval')->value()),
            ...self::signature($request),
        );

        return $this->page($request, $id);
    }

    #[Api('askExtension', DeferralPage::class, 'The deferral, with what is asked among what it waits for')]
    public function askExtension(int $id, AskExtensionRequest $request, Needs $needs): JsonResponse
    {
        $needs->askExtension(
            $request->person(),
            $id,
            $request->integer('days'),
            trim($request->string('reason')->value()),
        );

        return $this->page($request, $id);
    }

    #[Api('addNeed', DeferralPage::class, 'The deferral with what it waits for')]
    public function need(int $id, NeedRequest $request, Needs $needs): JsonResponse
    {
        $needs->add(
            $request->person(),
            $id,
            $request->string('kind')->value(),
            trim($request->string('what')->value()),
            $request->integer('quantity', 1),
            self::day($request),
        );

        return $this->page($request, $id);
    }

    #[Api('changeNeed', DeferralPage::class, 'The deferral with what it waits for')]
    public function changeNeed(int $id, ChangeNeedRequest $request, Needs $needs): JsonResponse
    {
        /** @var 'expected'|'there'|'drop' $do */
        $do = $request->string('do')->value();

        return $this->page($request, $needs->change($request->person(), $id, $do, self::day($request))->id);
    }

    #[Api('planClosure', DeferralPage::class, 'The deferral with its closing cards')]
    public function plan(int $id, PlanClosureRequest $request, PlanClosure $plan): JsonResponse
    {
        $plan($request->person(), $id, $request->string('slot')->value());

        return $this->page($request, $id);
    }

    #[Api('placardOff', DeferralPage::class, 'The deferral without its placard')]
    public function placardOff(int $id, PlacardOffRequest $request, CloseDeferral $close): JsonResponse
    {
        $close->placardOff($request->person(), $id);

        return $this->page($request, $id);
    }

    #[Api('closeDeferral', DeferralPage::class, 'The deferral, closed')]
    public function close(int $id, CloseDeferralRequest $request, CloseDeferral $close): JsonResponse
    {
        $close->close($request->person(), $id, trim($request->string('how')->value()), ...self::signature($request));

        return $this->page($request, $id);
    }

    /** The placard, to its size, to be cut out. */
    public function placard(int $id, PrintPlacard $print): Response
    {
        $deferral = Deferral::with('aircraft', 'finding', 'listedItem')->findOrFail($id);

        return Pdf::of($print->of($deferral), "placard-{$deferral->finding->number}.pdf");
    }

    private function page(RoomRequest $request, int $id): JsonResponse
    {
        return new JsonResponse($this->page->one($id, $request->person()));
    }

    private static function day(RoomRequest $request): ?Day
    {
        $day = $request->string('expected')->value();

        return $day === '' ? null : Day::parse($day);
    }

    /** @return array{string, string} stamp and PIN */
    private static function signature(RoomRequest $request): array
    {
        return [$request->string('stamp')->value(), $request->string('pin')->value()];
    }
}
