<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Do\Webhooks;
use App\Deferrals\Show\ShowReminders;
use App\Deferrals\Show\View\RemindersView;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;

/** Who is told of what happens. */
final readonly class WebhookController
{
    public function __construct(private Webhooks $do, private ShowReminders $show) {}

    #[Api('reminders', RemindersView::class, 'What was told, and which addresses are told')]
    public function index(ViewRequest $request): JsonResponse
    {
        return new JsonResponse(($this->show)());
    }

    #[Api('makeWebhook', RemindersView::class, 'With the secret of the new one, shown this once', status: 201)]
    public function store(WebhookRequest $request): JsonResponse
    {
        [, $secret] = $this->do->make(
            $request->person(),
            trim($request->string('name')->value()),
            $request->string('address')->value(),
            $request->events(),
        );

        return new JsonResponse(($this->show)($secret), 201);
    }

    #[Api('tryWebhook', RemindersView::class, 'A trial message waits to be sent')]
    public function trial(int $id, ManageWebhookRequest $request): JsonResponse
    {
        $this->do->trial($request->person(), $id);

        return new JsonResponse(($this->show)());
    }

    #[Api('revokeWebhook', RemindersView::class, 'Revoked')]
    public function revoke(int $id, ManageWebhookRequest $request): JsonResponse
    {
        $this->do->revoke($request->person(), $id);

        return new JsonResponse(($this->show)());
    }

    #[Api('sendAgain', RemindersView::class, 'The message waits to be sent again')]
    public function again(int $id, ManageWebhookRequest $request): JsonResponse
    {
        $this->do->again($id);

        return new JsonResponse(($this->show)());
    }
}
