<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Shared\Http\QuietSessions;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** Requests that are on their way at once, each with the session as it was when it came. */
final class SessionTest extends WorldCase
{
    private const ID = 'abcdefghijklmnopqrstuvwxyzabcdefghijklmn';

    private const IN = ['login_web' => 7, '_token' => 'a'];

    private static function request(): QuietSessions
    {
        return new QuietSessions(DB::connection(), 'sessions', 720);
    }

    /** @return mixed what the session holds for whoever comes next */
    private static function held(): mixed
    {
        return @unserialize(self::request()->read(self::ID));
    }

    protected function setUp(): void
    {
        parent::setUp();
        self::request()->write(self::ID, serialize(self::IN));
        self::assertSame(self::IN, self::held());
    }

    /**
     * @return iterable<string, array{bool, array<string, mixed>}> whether a guest came between, and what the late one
     *   writes
     */
    public static function late(): iterable
    {
        foreach (['what it read' => self::IN, 'something new' => [...self::IN, 'seen' => 1]] as $what => $writes) {
            yield "{$what}, and nobody between" => [false, $writes];
            yield "{$what}, after a guest began under the same name" => [true, $writes];
        }
    }

    /** @param array<string, mixed> $writes */
    #[DataProvider('late')]
    public function test_what_was_on_its_way_while_somebody_signed_out_does_not_bring_them_back(
        bool $guest,
        array $writes,
    ): void {
        // Used long ago, so that its time of use is written again.
        DB::table('sessions')->update(['last_activity' => time() - 500]);
        $late = self::request();
        $late->read(self::ID);
        self::request()->destroy(self::ID);
        if ($guest) {
            $next = self::request();
            $next->read(self::ID);
            $next->write(self::ID, serialize(['_token' => 'b']));
        }
        $late->write(self::ID, serialize($writes));
        self::assertSame($guest ? ['_token' => 'b'] : false, self::held());
    }

    public function test_one_request_writes_as_often_as_it_likes(): void
    {
        $request = self::request();
        $request->read(self::ID);
        foreach ([1, 2] as $n) {
            $request->write(self::ID, serialize([...self::IN, 'n' => $n]));
            self::assertSame([...self::IN, 'n' => $n], self::held());
        }
    }
}
