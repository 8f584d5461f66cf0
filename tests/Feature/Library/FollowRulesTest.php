<?php

declare(strict_types=1);

namespace Tests\Feature\Library;

use App\Floor\Model\Finding;
use App\Library\Model\FollowRule;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** Rules of what follows are written here, agreed by a second person, kept in every version, and come as a file. */
final class FollowRulesTest extends WorldCase
{
    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    private static function body(array $more = []): array
    {
        return [
            'code' => 'SKV-F-HOSE', 'title' => 'A chafed hose', 'source' => 'AM-SKV 20-30',
            'found' => ['words' => [['hose', 'line'], ['chafe', 'weep']]],
            'then' => [['kind' => 'look', 'text' => 'The clamp before it and the clamp after it']], ...$more,
        ];
    }

    /** @return TestResponse<Response> */
    private function propose(string $who, mixed $body, ?int $version = null): TestResponse
    {
        return $this->as($who, 'POST', 'library/follows/SKV', [
            'body' => $body, 'reason' => 'seen twice', ...$version === null ? [] : ['version' => $version],
        ]);
    }

    private function state(string $code, int $version): string
    {
        return FollowRule::where(['code' => $code, 'version' => $version])->firstOrFail()->state;
    }

    public function test_a_rule_is_in_force_once_a_second_person_agreed_and_every_version_is_kept(): void
    {
        $this->propose('oda', self::body())->assertForbidden();
        $this->propose('ines', self::body())->assertCreated();
        $id = (int) FollowRule::where('code', 'SKV-F-HOSE')->valueOrFail('id');
        $decide = fn(string $who, int $id): TestResponse
            => $this->as($who, 'POST', "library/rules/{$id}/decide", ['accept' => true]);
        self::assertStringContainsString(
            'somebody else',
            (string) $decide('ines', $id)->assertStatus(422)->json('message'),
        );
        $decide('tor', $id)->assertOk();
        $decide('tor', $id)->assertStatus(422);
        $this->propose('ines', self::body())->assertStatus(422);
        self::assertSame(409, $this->propose('ines', self::body(['title' => 'A hose']), 7)->status());
        $this->propose('ines', self::body())->assertStatus(422);
        $this->propose('runa', self::body(['title' => 'A hose that chafes']), 1)->assertCreated();
        self::assertSame(['in_force', 'proposed'], [$this->state('SKV-F-HOSE', 1), $this->state('SKV-F-HOSE', 2)]);
        $next = (int) FollowRule::where(['code' => 'SKV-F-HOSE', 'version' => 2])->valueOrFail('id');
        $decide('ines', $next)->assertOk();
        self::assertSame(['replaced', 'in_force'], [$this->state('SKV-F-HOSE', 1), $this->state('SKV-F-HOSE', 2)]);
        $this->as('ines', 'POST', "library/rules/{$next}/withdraw", ['why' => 'no longer in the manual'])->assertOk();
        self::assertSame('withdrawn', $this->state('SKV-F-HOSE', 2));
        $this->propose('ines', self::body(), 2)->assertCreated();
        $third = (int) FollowRule::where(['code' => 'SKV-F-HOSE', 'version' => 3])->valueOrFail('id');
        $this->as('tor', 'POST', "library/rules/{$third}/decide", ['accept' => false, 'why' => 'not ours'])->assertOk();
        self::assertSame('declined', $this->state('SKV-F-HOSE', 3));
        self::assertSame(0, $this->artisan('jorvel:verify')->run());
    }

    public function test_a_rule_that_cards_read_against_stays(): void
    {
        $id = (int) FollowRule::where('code', 'SKV-X-NP')->valueOrFail('id');
        self::assertStringContainsString('SKV-71-11, SKV-76-21 read against SKV-X-NP', (string) $this
            ->as('ines', 'POST', "library/rules/{$id}/withdraw", ['why' => 'tidying'])->assertStatus(422)->json('message'));
    }

    public function test_while_it_is_written_it_says_for_which_findings_it_would_have_held(): void
    {
        $preview = fn(mixed $body): TestResponse
            => $this->as('ines', 'POST', 'library/follows/SKV/preview', ['body' => $body])->assertOk();
        $weeps = Finding::whereRelation('aircraft.type', 'code', 'SKV')->where('extent', 'like', '%weep%')
            ->where('place', 'like', '%line%')->count();
        self::assertGreaterThan(0, $weeps);
        self::assertStringContainsString("for {$weeps}.", (string) $preview(self::body())->json('past'));
        self::assertNull($preview(self::body())->json('at'));
        self::assertFalse(FollowRule::where('code', 'SKV-F-HOSE')->exists());
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function faults(): iterable
    {
        yield 'no such card' => [
            ['then' => [['kind' => 'card', 'text' => 'x', 'card' => 'SKV-99-99']]], 'then.0.card',
            'What follows 1, card',
        ];
        yield 'another type\'s card' => [
            ['then' => [['kind' => 'look', 'text' => 'x'], ['kind' => 'card', 'text' => 'x', 'card' => 'TRK-62-90']]],
            'then.1.card', 'cards of the SKV',
        ];
        yield 'a word too short' => [['found' => ['words' => [['x']]]], 'found.words.0.0', ''];
        yield 'no title' => [['title' => ''], 'title', 'Title'];
    }

    /** @param array<string, mixed> $more */
    #[DataProvider('faults')]
    public function test_a_fault_is_named_at_its_place_and_nothing_is_saved(array $more, string $at, string $says): void
    {
        $seen = $this->as('ines', 'POST', 'library/follows/SKV/preview', ['body' => self::body($more)])->assertOk();
        self::assertSame($at, $seen->json('at'));
        self::assertStringContainsString($says, (string) $seen->json('fault'));
        $this->propose('ines', self::body($more))->assertStatus(422);
        self::assertFalse(FollowRule::where('code', 'SKV-F-HOSE')->exists());
    }

    public function test_a_set_of_rules_goes_out_and_comes_in_again_as_proposals(): void
    {
        $file = (string) $this->as('ines', 'GET', 'library/follows/SKV/file.json')->assertOk()->getContent();
        $look = fn(string $text): TestResponse => $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'follows', 'name' => 'rules.json', 'text' => $text,
        ]);
        self::assertSame([], $look($file)->assertOk()->json('changes'));
        $set = json_decode($file, true);
        $set['rules'][0]['title'] = 'Cracks';
        $set['rules'][] = self::body();
        $seen = $look((string) json_encode($set))->assertOk();
        self::assertCount(2, (array) $seen->json('changes'));
        $this->as('ines', 'POST', "library/imports/{$seen->json('id')}/apply")->assertOk();
        self::assertSame('proposed', $this->state('SKV-F-HOSE', 1));
        self::assertSame('proposed', $this->state($set['rules'][0]['code'], 2));
        $set['rules'][] = self::body(['then' => [['kind' => 'suspect', 'text' => 'x']]]);
        $bad = $look((string) json_encode($set))->assertStatus(422);
        self::assertSame(['SKV-F-HOSE, then.0.chapter'], array_column((array) $bad->json('lines'), 'line'));
    }
}
