<?php

declare(strict_types=1);

namespace App\Shared\Http;

use Illuminate\Database\QueryException;
use Illuminate\Session\DatabaseSessionHandler;

/**
 * Sessions in the database that are written when something of them changes, or once in a while; so that reading does
 * not wait for whoever writes, and goes on while nothing can be written at all.
 *
 * A session is written over only as it was read: a request that was on its way while somebody signed out would
 * otherwise put their session back, with them in it, as soon as another had begun an empty one under the same name.
 */
final class QuietSessions extends DatabaseSessionHandler
{
    /** How long a session may be used before its time of use is written again, in seconds. */
    private const WHILE = 120;

    /**
     * @var array<string, array{string, int, string|null}> what was read of each, when it was last used, and its row's
     *   payload
     */
    private array $read = [];

    public function read($sessionId): string
    {
        $session = (object) $this->getQuery()->find($sessionId);
        $this->exists = isset($session->payload);
        $data = $this->exists && ! $this->expired($session) ? (string) base64_decode($session->payload) : '';
        $this->read[$sessionId] = [
            self::print($data),
            (int) ($session->last_activity ?? 0),
            $session->payload ?? null,
        ];

        return $data;
    }

    public function write($sessionId, $data): bool
    {
        [$print, $used] = $this->read[$sessionId] ?? ['', 0];
        if ($this->exists && $print === self::print((string) $data) && $used > $this->currentTime() - self::WHILE) {
            return true;
        }
        try {
            parent::write($sessionId, $data);
            $this->read[$sessionId] = [
                self::print((string) $data), $this->currentTime(), base64_encode((string) $data),
            ];

            return true;
        } catch (QueryException $e) {
            logger()->warning('A session could not be written: '.$e->getPrevious()?->getMessage());

            return true;
        }
    }

    /**
     * @param string $sessionId
     * @param array<string, mixed> $payload
     */
    protected function performUpdate($sessionId, $payload): int
    {
        return $this->getQuery()->where('id', $sessionId)
            ->where('payload', $this->read[$sessionId][2] ?? null)
            ->update($payload);
    }

    public function gc($lifetime): int
    {
        try {
            return parent::gc($lifetime);
        } catch (QueryException) {
            return 0;
        }
    }

    /** What of a session counts: not the address that was looked at last. */
    private static function print(string $data): string
    {
        $values = @unserialize($data, ['allowed_classes' => false]);

        return is_array($values) ? hash(
            'xxh128',
            serialize(array_diff_key($values, ['_previous' => 0, '_flash' => 0])),
        ) : '';
    }
}
