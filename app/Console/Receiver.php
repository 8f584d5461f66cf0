<?php

declare(strict_types=1);

namespace App\Console;

use App\Deferrals\Do\Deliver;
use Illuminate\Console\Command;

/**
 * A stand-in for whatever gets webhooks: listens on this machine, checks each signature, and writes one line of JSON
 * for each message. 204 for a good one, 401 for one that is not signed with the secret, 503 for the first `--fail`.
 */
final class Receiver extends Command
{
    protected $signature = 'jorvel:receiver {--port=8090} {--secret= : As it was shown when the webhook was made}
        {--fail=0 : Answer so many with 503 first} {--stop=0 : End after so many; 0 goes on}';

    protected $description = 'A stand-in receiver of webhooks, which checks their signatures';

    public function handle(): int
    {
        $server = @stream_socket_server("tcp://127.0.0.1:{$this->option('port')}", $code, $why);
        if ($server === false) {
            $this->error("Port {$this->option('port')} cannot be had: {$why}. Choose another with --port.");

            return self::FAILURE;
        }
        $this->line(json_encode(['listening' => stream_socket_get_name($server, false)], JSON_THROW_ON_ERROR));
        $fail = (int) $this->option('fail');
        $stop = (int) $this->option('stop');
        for ($n = 1; $stop === 0 || $n <= $stop; $n++) {
            $from = stream_socket_accept($server, -1);
            if ($from === false) {
                continue;
            }
            stream_set_timeout($from, 5);
            [$head, $body] = self::read($from);
            $good = hash_equals(
                'sha256='.Deliver::sign((string) $this->option('secret'), (int) ($head['x-jorvel-time'] ?? 0), $body),
                $head['x-jorvel-signature'] ?? '',
            );
            $answer = match (true) {
                ! $good => '401 Unauthorized',
                $n <= $fail => '503 Service Unavailable',
                default => '204 No Content',
            };
            fwrite($from, "HTTP/1.1 {$answer}\r\nContent-Length: 0\r\nConnection: close\r\n\r\n");
            fclose($from);
            $this->line(json_encode([
                'signed' => $good, 'answer' => $answer, 'event' => $head['x-jorvel-event'] ?? null,
                'delivery' => $head['x-jorvel-delivery'] ?? null, 'body' => json_decode($body, true),
            ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
        }

        return self::SUCCESS;
    }

    /**
     * @param resource $from
     *
     * @return array{array<string, string>, string} heads by their names in small letters, and the body
     */
    private static function read($from): array
    {
        $head = [];
        while (($line = fgets($from, 8192)) !== false && trim($line) !== '') {
            [$name, $value] = [...explode(':', $line, 2), ''];
            $head[strtolower(trim($name))] = trim($value);
        }
        $length = min((int) ($head['content-length'] ?? 0), 1_000_000);
        $body = '';
        while (strlen($body) < $length && ($more = fread($from, $length - strlen($body))) !== false && $more !== '') {
            $body .= $more;
        }

        return [$head, $body];
    }
}
