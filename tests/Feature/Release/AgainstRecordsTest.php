<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Release\Model\Certificate;
use App\Release\Show\AgainstRecords;
use App\Shared\Clock;
use App\Shared\Records;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\GovernorCard;
use Tests\Feature\WorldCase;

/** A row that was changed behind the application's back is found by what was signed. */
final class AgainstRecordsTest extends WorldCase
{
    use GovernorCard;

    private int $card;

    private int $worked;

    protected function setUp(): void
    {
        parent::setUp();
        // A slow machine: each look at the clock is a second later.
        $slow = time();
        app()->scoped(Clock::class, static fn(): Clock => new Clock(static function () use (&$slow): int {
            return $slow++;
        }));
        app(Clock::class)->start(Instant::parse('2026-05-05T12:20:00Z'));
        // A card signed through its door.
        $card = Card::where('title', 'Flap travel timing')->where('state', Card::IN_WORK)->firstOrFail();
        $this->card = $card->id;
        Step::where('card_id', $card->id)->update(['state' => Step::DONE]);
        $counted = $card->loans()->whereNull('in_at')->pluck('quantity', 'id')->all();
        $this->as('stig', 'POST', "cards/{$card->id}/sign", [
            'version' => $card->refresh()->version, 'stamp' => 'T45', 'pin' => $this->pin('stig'), 'spent' => 2,
            'counted' => $counted,
        ])->assertOk();
        // And one whose first steps are done, one of them for the second time, and on which something is found.
        $open = $this->governorCard();
        $this->worked = $open->id;
        foreach ([[1, 'done', []], [2, 'done', []], [2, 'take_back', ['note' => 'not yet']], [2, 'done', []]] as $act) {
            $this->work($open, ...$act)->assertOk();
        }
        $this->work($open, 2, 'take_back', ['note' => 'again'])->assertOk();
        $this->as('oda', 'POST', "cards/{$open->id}/findings", [
            'version' => $open->refresh()->version, 'place' => 'spinner, lower', 'extent' => 'a nick',
            'severity' => 'minor',
        ])->assertOk();
    }

    private function pin(string $login): string
    {
        return array_column(
            json_decode((string) file_get_contents(database_path('demo/people.json')), true),
            'pin',
            'login',
        )[$login];
    }

    /** @return iterable<string, array{string, string}> what is done to the database, and what is said */
    public static function changes(): iterable
    {
        yield 'another signer' => [
            'update cards set signed_by = 1 where id = {card}', 'is not as it was: Stig Omdal (T45) signed it',
        ];
        yield 'another time' => [
            "update cards set signed_at = '2026-05-04T10:00:00Z' where id = {card}", 'signed it at 2026-05-05T12:2',
        ];
        yield 'opened again' => ["update cards set state = 'in_work' where id = {card}", 'is not as it was'];
        yield 'no signer any more' => ['update cards set signed_by = null where id = {card}', 'is not as it was'];
        yield 'a reading' => [
            "update readings set value = value + 1 where at > '2026-05-05T10:00:00Z'",
            'A reading is not as it was taken',
        ];
        yield 'a verdict' => [
            "update readings set verdict = 'fail' where at > '2026-05-05T10:00:00Z'",
            'A reading is not as it was taken',
        ];
        yield 'a step that somebody else did' => [
            'update steps set done_by = 1 where card_id = {worked} and no = 1',
            'is not as it was: Oda Fenn (T27) did it',
        ];
        yield 'a step done earlier' => [
            "update steps set done_at = '2026-05-04T10:00:00Z' where card_id = {worked} and no = 1", 'Step 1 of card',
        ];
        yield 'a step no longer done' => [
            "update steps set state = 'open' where card_id = {worked} and no = 1", 'Step 1 of card',
        ];
        yield 'a step gone' => ['delete from steps where card_id = {worked} and no = 1', 'Step 1 of card:'];
        yield 'a finding made smaller' => [
            "update findings set severity = 'minor', extent = 'nothing' where place = 'spinner, lower'",
            'is not as Oda Fenn (T27) raised it',
        ];
        yield 'a finding gone' => ["delete from findings where place = 'spinner, lower'", 'is not as Oda Fenn'];
        yield 'a reading gone' => [
            "delete from readings where at > '2026-05-05T10:00:00Z'", 'A reading is not as it was taken',
        ];
    }

    #[DataProvider('changes')]
    public function test_it_is_found(string $sql, string $said): void
    {
        self::assertSame([], app(AgainstRecords::class)->differences());
        self::assertSame(0, Artisan::call('jorvel:verify'));
        DB::statement('pragma foreign_keys = off');
        DB::statement(strtr($sql, ['{card}' => $this->card, '{worked}' => $this->worked]));
        self::assertSame(1, Artisan::call('jorvel:verify'));
        self::assertStringContainsString($said, Artisan::output());
    }

    public function test_a_certificate_is_compared_with_the_hash_that_was_signed(): void
    {
        $found = static fn(): string => implode(' ', app(AgainstRecords::class)->differences());
        $number = 'JV-2026-9001';
        $said = ['statement' => 'all of it', 'due' => [['code' => '29-14', 'hours' => 1.0]]];
        $row = [
            'visit_id' => Certificate::query()->value('visit_id'), 'person_id' => $this->person('tor')->id,
            'at' => '2026-05-05T12:20:00Z', 'moved' => [], 'number' => $number, 'said' => $said,
        ];
        DB::table('releases')->delete();
        Certificate::create($row);
        app(Records::class)->write($this->person('tor'), 'aircraft.released', 'visit:1', [
            'certificate' => $number, 'sha256' => hash('sha256', (string) json_encode($said)),
        ]);
        $seen = [$found()];
        DB::table('releases')->update(['said' => json_encode(['statement' => 'some of it'] + $said)]);
        $seen[] = $found();
        DB::table('releases')->delete();
        $seen[] = $found();
        $not = "Certificate {$number} is not as it was signed.";
        self::assertSame(['', $not, $not], $seen);
    }
}
