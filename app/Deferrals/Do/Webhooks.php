<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Deferrals\Model\Webhook;
use App\Deferrals\Model\WebhookDelivery;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;

/** Addresses that are told of what happens: made, tried, revoked; a message that was given up is sent again. */
final readonly class Webhooks
{
    public function __construct(private Clock $clock, private Records $records) {}

    /**
     * @param list<string> $events of {@see Webhook::EVENTS}
     *
     * @return array{Webhook, string} it, and its secret, which nobody can read again; it is told of what happens from
     *   now on
     */
    public function make(Person $by, string $name, string $address, array $events): array
    {
        return DB::transaction(function () use ($by, $name, $address, $events): array {
            $secret = bin2hex(random_bytes(24));
            $hook = Webhook::create([
                'person_id' => $by->id, 'name' => $name, 'address' => $address, 'secret' => $secret,
                'events' => $events, 'read' => $this->records->latest(), 'made_at' => (string) $this->clock->now(),
            ]);
            $this->records->write($by, 'webhook.made', "webhook:{$hook->id}", [
                'name' => $name, 'host' => $hook->host(), 'events' => $events,
            ]);

            return [$hook, $secret];
        });
    }

    /** What was not sent yet is not sent any more. */
    public function revoke(Person $by, int $id): void
    {
        DB::transaction(function () use ($by, $id): void {
            $hook = Webhook::findOrFail($id);
            if ($hook->revoked_at === null) {
                $hook->update(['revoked_at' => (string) $this->clock->now()]);
                WebhookDelivery::where('webhook_id', $id)->whereNotNull('next')
                    ->update(['next' => null, 'answer' => 'revoked before it was sent']);
                $this->records->write($by, 'webhook.revoked', "webhook:{$id}", ['name' => $hook->name]);
            }
        });
    }

    /** @throws Refused for one that is revoked */
    public function trial(Person $by, int $id): void
    {
        DB::transaction(function () use ($by, $id): void {
            $hook = $this->standing($id);
            Told::one($hook, 'trial:'.bin2hex(random_bytes(6)), 'trial', [
                'said' => "{$by->name} tries whether messages arrive.", 'link' => '/deferrals/reminders',
            ], $this->clock->now());
        });
    }

    /** @throws Refused for one that arrived, or whose address is revoked */
    public function again(int $deliveryId): void
    {
        DB::transaction(function () use ($deliveryId): void {
            $delivery = WebhookDelivery::findOrFail($deliveryId);
            $this->standing($delivery->webhook_id);
            $delivery->done_at === null || throw Refused::because('It arrived. Nothing was sent again.');
            $delivery->update(['next' => $this->clock->now()->epoch(), 'tries' => 0]);
        });
    }

    private function standing(int $id): Webhook
    {
        $hook = Webhook::findOrFail($id);

        return $hook->revoked_at === null ? $hook
            : throw Refused::because("\"{$hook->name}\" is revoked; nothing is sent to it. Make a new one.");
    }
}
