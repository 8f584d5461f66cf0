<?php

declare(strict_types=1);

namespace Tests\Browser\Shared;

use Tests\Browser\BrowserCase;

/** Many at once, against a served copy with several workers: what must happen once happens once. */
final class RaceTest extends BrowserCase
{
    public function test_a_request_sent_many_times_at_once_is_worked_once(): void
    {
        $card = $this->card();
        $before = $this->version($card);
        $answers = $this->together(
            6,
            "/api/cards/{$card}/steps/3",
            static fn(): array
                => [['version' => $before, 'do' => 'read', 'entry' => '26', 'tool' => 'TW-108'], 'one-and-the-same'],
        );
        self::assertSame([200], array_values(array_unique(array_column($answers, 0))), 'each is answered');
        $bodies = array_filter(
            array_column($answers, 1),
            static fn(string $b): bool => ! str_contains($b, 'This was saved; its answer was lost on the way'),
        );
        self::assertCount(
            1,
            array_unique($bodies),
            'with the same card, or, while that is still being read, with the truth',
        );
        self::assertSame(1, self::number("select count(*) from readings where card_id = {$card}"));
        self::assertSame($before + 1, $this->version($card));
    }

    public function test_of_many_at_once_with_keys_of_their_own_one_is_first_and_the_rest_are_told(): void
    {
        $card = $this->card();
        $before = $this->version($card);
        $answers = $this->together(
            6,
            "/api/cards/{$card}/steps/4",
            static fn(int $i): array => [['version' => $before, 'do' => 'done'], "key-{$i}"],
        );
        $codes = array_count_values(array_column($answers, 0));
        ksort($codes);
        self::assertSame([200 => 1, 409 => 5], $codes);
        self::assertSame(1, self::number(
            "select count(*) from records where what = 'step.done' and subject = 'card:{$card}' and data like "
                ."'%\"step\":4%'",
        ));
        [$code, $said] = self::$stage->artisan('jorvel:verify');
        self::assertSame(0, $code, $said);
    }

    public function test_dates_are_right_however_readers_and_writers_meet(): void
    {
        $marks = self::$stage->database()
            ->query("select mark, counters_as_of from aircraft where mark like 'Q-%' order by mark")
            ->fetchAll(\PDO::FETCH_KEY_PAIR);
        self::assertCount(10, $marks);
        $requests = [];
        foreach (array_keys($marks) as $mark) {
            array_push(
                $requests,
                ['/api/fleet', null],
                [
                    "/api/fleet/{$mark}/flying",
                    ['date' => '2026-05-05', 'flown' => ['fh' => '9.5', 'ldg' => '12'], 'sure' => true],
                ],
                ['/api/due?days=30', null],
            );
        }
        $answers = $this->atOnce('ines', array_map(
            static fn(array $r, int $i): array => [$r[0], $r[1], "fleet-{$i}"],
            $requests,
            array_keys($requests),
        ));
        self::assertSame(
            [200],
            array_values(array_unique(array_column($answers, 0))),
            implode("\n", array_column($answers, 1)),
        );
        foreach ($answers as $i => [, $body]) {
            if ($requests[$i][0] === '/api/fleet') {
                self::assertCount(20, json_decode($body, true)['rows'], 'nobody goes missing while others write');
            }
        }
        $read = fn(): array
            => array_column($this->atOnce('ines', [['/api/fleet', null, ''], ['/api/due?days=30', null, '']]), 1);
        $kept = $read();
        self::$stage->database()->exec('delete from due_sheets');
        self::assertSame($read(), $kept, 'what is kept is what would be worked out anew');
        self::assertSame(10, self::number("select count(*) from flying_entries where date = '2026-05-05'"));
    }

    /**
     * The server is killed at any moment of a request, a hundred times; whoever sends again gets what they meant, once.
     */
    public function test_what_dies_in_the_middle_and_is_sent_again_is_done_once_and_told_truly(): void
    {
        mt_srand(4);
        $jar = $this->signedIn('oda');
        $card = $this->card();
        $rows = fn(string $what): int => self::number("select count(*) from tool_loans where what = '{$what}'");
        // As long as such a request takes on this machine, so that it is cut at its beginning, in its middle and after
        // it.
        $from = hrtime(true);
        for ($n = 0; $n < 5; $n++) {
            self::assertNotFalse(curl_exec($this->handle(
                "/api/cards/{$card}/loans",
                ['what' => "a rag before, {$n}", 'quantity' => 1],
                $jar,
                "before-{$n}",
            )));
        }
        $takes = intdiv(hrtime(true) - $from, 5000);
        $ends = ['answered' => 0, 'done, its answer lost' => 0, 'not done' => 0];
        for ($n = 0; $n < 100; $n++) {
            $intent = [
                "/api/cards/{$card}/loans", ['what' => "rags {$n}", 'quantity' => 1 + $n % 9], $jar, "crash-{$n}",
            ];
            $status = $this->killedAfter(mt_rand(0, 2 * $takes), $this->handle(...$intent));
            $done = $rows("rags {$n}");
            $ends[$status === 200 ? 'answered' : ($done > 0 ? 'done, its answer lost' : 'not done')]++;
            self::assertContains($status, [0, 200], 'an answer, or none');
            self::assertSame(
                $status === 200 ? 1 : min($done, 1),
                $done,
                'who was told that it is done was told the truth',
            );
            self::$stage->restore();
            $again = $this->handle(...$intent);
            $said = (string) curl_exec($again);
            self::assertSame(200, curl_getinfo($again, CURLINFO_RESPONSE_CODE), $said);
            self::assertSame(
                [1, 1],
                [
                    $rows("rags {$n}"),
                    self::number(
                        "select count(*) from records where what = 'tool.out' and data like '%\"rags {$n}\"%'",
                    ),
                ],
                'once, with its record',
            );
            $lost = str_contains($said, 'its answer was lost on the way');
            self::assertTrue($lost ? $done === 1 : str_contains($said, "\"rags {$n}\""), $said);
        }
        unlink($jar);
        self::assertGreaterThan(
            5,
            min($ends['answered'] + $ends['done, its answer lost'], $ends['not done']),
            (string) json_encode($ends),
        );
        [$code, $said] = self::$stage->artisan('jorvel:verify');
        self::assertSame(0, $code, $said);
    }

    /** @return int the status that came before the server was killed; 0 where none did */
    private function killedAfter(int $microseconds, \CurlHandle $handle): int
    {
        $multi = curl_multi_init();
        curl_multi_add_handle($multi, $handle);
        $until = hrtime(true) + $microseconds * 1000;
        do {
            curl_multi_exec($multi, $running);
            usleep(500);
        } while ($running > 0 && hrtime(true) < $until);
        self::$stage->cut();
        for ($i = 0; $i < 50 && $running > 0; $i++) {
            curl_multi_exec($multi, $running);
            usleep(1000);
        }

        return (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
    }

    private function card(): int
    {
        return self::number(
            'select c.id from cards c join assignments a on a.card_id = c.id join people p on p.id = a.person_id '
                ."where p.login = 'oda' and c.state = 'in_work' order by c.id",
        );
    }

    private function version(int $card): int
    {
        return self::number("select version from cards where id = {$card}");
    }

    /**
     * Sends requests for one place at the same time, signed in as the technician.
     *
     * @param callable(int): array{array<string, mixed>, string} $make body and key
     *
     * @return list<array{int, string}> status and body of each
     */
    private function together(int $many, string $path, callable $make): array
    {
        return $this->atOnce('oda', array_map(static fn(int $i): array => [$path, ...$make($i)], range(0, $many - 1)));
    }

    /**
     * Sends requests at the same time.
     *
     * @param list<array{string, array<string, mixed>|null, string}> $requests path, body (none to read), key
     *
     * @return list<array{int, string}> status and body of each
     */
    private function atOnce(string $login, array $requests): array
    {
        $jar = $this->signedIn($login);
        $multi = curl_multi_init();
        $handles = [];
        foreach ($requests as [$path, $body, $key]) {
            $handles[] = $handle = $this->handle($path, $body, $jar, $key);
            curl_multi_add_handle($multi, $handle);
        }
        do {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.2);
        } while ($running > 0);
        unlink($jar);

        return array_map(
            static fn(\CurlHandle $h): array
                => [(int) curl_getinfo($h, CURLINFO_RESPONSE_CODE), (string) curl_multi_getcontent($h)],
            $handles,
        );
    }

    /** @return string a file of cookies */
    private function signedIn(string $login): string
    {
        $jar = (string) tempnam(sys_get_temp_dir(), 'jorvel-jar');
        $this->send('/', null, $jar);
        self::assertSame(200, $this->send('/api/sign-in', ['login' => $login, 'password' => 'hangar-demo'], $jar)[0]);

        return $jar;
    }

    /**
     * @param array<string, mixed>|null $body
     *
     * @return array{int, string}
     */
    private function send(string $path, ?array $body, string $jar): array
    {
        $handle = $this->handle($path, $body, $jar, '');
        $answer = (string) curl_exec($handle);
        $status = (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        unset($handle);

        return [$status, $answer];
    }

    /** @param array<string, mixed>|null $body */
    private function handle(string $path, ?array $body, string $jar, string $key): \CurlHandle
    {
        preg_match('/XSRF-TOKEN\t(\S+)/', (string) file_get_contents($jar), $token);
        $handle = curl_init(self::$stage->url.$path);
        self::assertNotFalse($handle);
        curl_setopt_array($handle, [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => $jar, CURLOPT_COOKIEJAR => $jar,
            CURLOPT_HTTPHEADER => [
                'Accept: application/json', 'Content-Type: application/json', 'Referer: '.self::$stage->url.'/',
                'X-XSRF-TOKEN: '.urldecode($token[1] ?? ''), "Idempotency-Key: {$key}",
            ],
        ]);
        if ($body !== null) {
            curl_setopt($handle, CURLOPT_POSTFIELDS, (string) json_encode($body));
        }

        return $handle;
    }
}
