<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Deferrals\Model\WebhookDelivery;
use App\Shared\Clock;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;

/**
 * Sends what waits to be sent. A message is signed with HMAC-SHA256, key the webhook's secret, over its time, a full
 * stop and its body; the time is the machine's, in seconds since 1970, so that whoever gets it can refuse an old one.
 * What is not answered with 2xx within five seconds is tried again after 1, 2, 4 … minutes, ten times, and then given
 * up, with the reason kept.
 */
final readonly class Deliver
{
    public const TRIES = 10;

    private const AT_A_TIME = 50;

    private const SECONDS = 5;

    public function __construct(private Clock $clock) {}

    /** @return int how many were sent, whether or not they arrived */
    public function __invoke(): int
    {
        $sent = 0;
        $waiting = WebhookDelivery::with('webhook')->where('next', '<=', $this->clock->now()->epoch())->orderBy('next')
            ->orderBy('id')->limit(self::AT_A_TIME)->get();
        foreach ($waiting as $delivery) {
            // Whoever moves it on sends it: two at work do not send it twice.
            $tries = $delivery->tries + 1;
            $mine = DB::table('webhook_deliveries')->where(['id' => $delivery->id, 'next' => $delivery->next])->update([
                'tries' => $tries,
                'next' => $tries >= self::TRIES ? null : $this->clock->now()->epoch() + self::wait($tries),
            ]);
            if ($mine === 1) {
                $this->send($delivery);
                $sent++;
            }
        }

        return $sent;
    }

    /** @return int seconds until the next try, after this many */
    public static function wait(int $tries): int
    {
        return 60 * 2 ** ($tries - 1);
    }

    /** @return string the signature of a message */
    public static function sign(string $secret, int $time, string $body): string
    {
        return hash_hmac('sha256', "{$time}.{$body}", $secret);
    }

    private function send(WebhookDelivery $delivery): void
    {
        $time = time();
        try {
            $answer = Http::timeout(self::SECONDS)->connectTimeout(self::SECONDS)->withoutRedirecting()
                ->withHeaders([
                    'X-Jorvel-Event' => $delivery->event,
                    'X-Jorvel-Delivery' => (string) $delivery->id,
                    'X-Jorvel-Time' => (string) $time,
                    'X-Jorvel-Signature' => 'sha256='.self::sign($delivery->webhook->secret, $time, $delivery->body),
                ])
                ->withBody($delivery->body, 'application/json')
                ->post($delivery->webhook->address);
            $arrived = $answer->successful();
            $said = "answered {$answer->status()}";
        } catch (ConnectionException) {
            $arrived = false;
            $said = 'no answer';
        }
        $now = (string) $this->clock->now();
        DB::table('webhook_deliveries')->where('id', $delivery->id)->update(
            ['answer' => "{$said}, {$now}", ...($arrived ? ['done_at' => $now, 'next' => null] : [])],
        );
    }
}
