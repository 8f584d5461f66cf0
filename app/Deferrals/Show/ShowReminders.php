<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\Do\Deliver;
use App\Deferrals\Do\Remind;
use App\Deferrals\Model\Webhook;
use App\Deferrals\Model\WebhookDelivery;
use App\Deferrals\Show\View\DeliveryView;
use App\Deferrals\Show\View\RemindersView;
use App\Deferrals\Show\View\WebhookView;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Facades\Gate;
use Jorvel\Core\Shared\Instant;

/** Which addresses are told of what happens, and what became of the last messages. */
final readonly class ShowReminders
{
    private const SHOWN = 50;

    public function __construct(private Clock $clock) {}

    /** @param string|null $secret of a webhook just made */
    public function __invoke(?string $secret = null): RemindersView
    {
        $hooks = Webhook::with('person')->orderByDesc('id')->get();
        $given = WebhookDelivery::whereNull('done_at')->whereNull('next')->whereIn(
            'webhook_id',
            $hooks->whereNull('revoked_at')->modelKeys(),
        )->count();
        $standing = $hooks->whereNull('revoked_at')->count();

        return new RemindersView(
            match (true) {
                $given > 0 => Words::count($given, 'message').' did not arrive and '.($given === 1 ? 'is' : 'are')
                    .' given up.',
                $standing === 0 => 'Nobody outside is told.',
                default => Words::count($standing, 'address', 'addresses').' '.($standing === 1 ? 'is' : 'are')
                    .' told.',
            },
            'Controllers see it here under the top line: a deferral '.Remind::DAYS
                .' days before it runs out, and what falls due '
                .'within '.Remind::DUE_DAYS
                .' days and is in no visit. An address outside is sent the same and more, each message '
                .'signed; what does not arrive is tried '.Deliver::TRIES.' times.',
            Webhook::EVENTS,
            array_values($hooks->map($this->hook(...))->all()),
            array_values(WebhookDelivery::with('webhook')->orderByDesc('id')->limit(self::SHOWN)->get()
                ->map($this->delivery(...))->all()),
            Gate::allows('manage', Webhook::class),
            $secret,
        );
    }

    private function hook(Webhook $h): WebhookView
    {
        return new WebhookView(
            $h->id,
            $h->name,
            $h->host(),
            array_map(static fn(string $e): string => Webhook::EVENTS[$e], $h->events),
            $h->person->name,
            $this->clock->local($h->made_at),
            $h->revoked_at === null ? null : $this->clock->local($h->revoked_at),
            $h->revoked_at === null ? 'clear' : 'stop',
            $h->revoked_at === null ? 'told' : 'revoked',
        );
    }

    private function delivery(WebhookDelivery $d): DeliveryView
    {
        $what = (array) json_decode($d->body, true, 16, JSON_THROW_ON_ERROR);
        $over = $d->next === null;
        [$state, $word] = match (true) {
            $d->done_at !== null => ['clear', 'arrived '.$this->clock->local($d->done_at)],
            $over => ['stop', "given up after {$d->tries}: ".self::answer($d)],
            $d->tries > 0 => ['watch', self::answer($d).'; next try '
                .$this->clock->local(Instant::fromEpoch($d->next))],
            default => ['waiting', 'waits to be sent'],
        };

        return new DeliveryView(
            $d->id,
            $d->webhook->name,
            (string) $what['said'],
            (string) $what['link'],
            $this->clock->local($d->made_at),
            $state,
            $word,
            $over && $d->done_at === null && $d->webhook->revoked_at === null,
        );
    }

    /** @return string without the instant it was given at */
    private static function answer(WebhookDelivery $d): string
    {
        return explode(',', $d->answer)[0];
    }
}
