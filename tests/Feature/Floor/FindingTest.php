<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Floor\Do\CommitPhoto;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Photo;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** Findings: where they are, how they look, and what was done there before. */
final class FindingTest extends WorldCase
{
    protected function setUp(): void
    {
        parent::setUp();
        config(['jorvel.photos' => sys_get_temp_dir().'/jorvel-photos-'.getmypid()]);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob(CommitPhoto::folder().'/*') ?: []);
        @rmdir(CommitPhoto::folder());
        parent::tearDown();
    }

    private function card(): Card
    {
        return Card::where('title', 'Gear extension by hand pump')->whereNot('state', Card::CLOSED)->firstOrFail();
    }

    public function test_a_finding_keeps_its_place_its_sketch_and_its_step(): void
    {
        $card = $this->card();
        $sketch = [[[0.1, 0.5], [0.9, 0.5]], [[0.4, 0.4]]];
        $this->as('oda', 'POST', "cards/{$card->id}/findings", [
            'place' => 'hand pump, hose', 'extent' => 'chafed to the braid over 20 mm', 'severity' => 'major',
            'step' => 5, 'spot' => ['view' => 'side', 'x' => 5.2, 'y' => 1.1], 'sketch' => $sketch,
        ])->assertOk();
        $finding = $card->findings()->firstOrFail();
        $view = $this->as('mika', 'GET', "findings/{$finding->id}")->assertOk()->json();
        self::assertSame([$sketch, ['view' => 'side', 'x' => 5.2, 'y' => 1.1], 'major', '32'], [
            $view['sketch'], $view['spot'], $view['finding']['severity'], $view['finding']['chapter'],
        ]);
        self::assertSame(5, $finding->step_no);
        self::assertStringContainsString('fix it or defer it', $view['sentence']);
        // Marked elsewhere later: the record keeps both places; nobody who only looks may, and what is no place is
        // refused.
        $this->as('mika', 'POST', "findings/{$finding->id}/spot", [
            'view' => 'top', 'x' => 5.2, 'y' => -0.4,
        ])->assertForbidden();
        $this->as('oda', 'POST', "findings/{$finding->id}/spot", ['view' => 'top', 'x' => 500, 'y' => 0])
            ->assertStatus(422);
        $this->as('runa', 'POST', "findings/{$finding->id}/spot", ['view' => 'top', 'x' => 5.2, 'y' => -0.4])
            ->assertOk()->assertJsonPath('spot.view', 'top');
        $record = json_decode((string) DB::table('records')->where('what', 'finding.marked')->value('data'), true);
        self::assertEquals([['view' => 'side', 'x' => 5.2, 'y' => 1.1], ['view' => 'top', 'x' => 5.2, 'y' => -0.4]], [
            $record['was'], $record['spot'],
        ]);
        $finding->update(['state' => 'fixed']);
        self::assertStringContainsString(
            'its place stays',
            (string) $this->as('oda', 'POST', "findings/{$finding->id}/spot", [
                'view' => 'top', 'x' => 1, 'y' => 0,
            ])->assertStatus(422)->json('message'),
        );
        // A finding on another system than its card's: its fix is inspected as that system is.
        $zones = Card::where(['title' => 'Detailed inspection, passenger door frame', 'state' => 'open'])
            ->firstOrFail();
        self::assertFalse($zones->independent_inspection);
        $this->as('ines', 'POST', "cards/{$zones->id}/findings", [
            'place' => 'forward fuselage, quadrant', 'extent' => 'cable off its groove', 'chapter' => '27-30',
        ])->assertOk();
        $found = $zones->findings()->where('chapter', '27-30')->firstOrFail();
        $this->as('ines', 'POST', "findings/{$found->id}/card", ['hours' => 2])->assertCreated();
        $fix = Card::where('finding_id', $found->id)->firstOrFail();
        self::assertSame([true, ['assembly', 'locking', 'free and full movement'], '27-30'], [
            $fix->independent_inspection, $fix->covers, $fix->chapter(),
        ]);
        self::assertSame('52', $zones->chapter(), 'as its item has it, not the template of all such inspections');
        $bad = [
            ['spot' => ['view' => 'below', 'x' => 1, 'y' => 1]], ['spot' => ['view' => 'side', 'x' => 500, 'y' => 1]],
            ['sketch' => [[[2, 0]]]], ['sketch' => [[[0.5]]]], ['severity' => 'dire'], ['chapter' => 'gear'],
        ];
        foreach ($bad as $more) {
            $this->as('oda', 'POST', "cards/{$card->id}/findings", ['place' => 'x', 'extent' => 'y', ...$more])
                ->assertStatus(422);
        }
        self::assertSame(1, $card->findings()->count());
    }

    public function test_the_same_place_again_is_told_at_once_with_what_was_last_done_there(): void
    {
        $card = $this->card();
        $raise = fn(string $place): ?string => array_values(array_filter(
            $this->as('oda', 'POST', "cards/{$card->id}/findings", ['place' => $place, 'extent' => 'wet'])->assertOk()
                ->json('findings'),
            static fn(array $f): bool => $f['place'] === trim($place),
        ))[0]['repeat'] ?? null;
        self::assertNull($raise('hand pump, rod seal'));
        $number = Finding::orderByDesc('id')->firstOrFail()->number;
        self::assertStringStartsWith("{$number}, Tue 5 May: wet", (string) $raise('Hand pump - rod seal'));
        self::assertNull($raise('hand pump, body'));
        // Beyond both windows it is no longer a repeat.
        Finding::where('card_id', $card->id)->update(['raised_at' => '2025-01-05T12:00:00Z']);
        self::assertNull($raise('hand pump, rod seal '));

        $known = Finding::where('place', 'hydraulic bay, return line')->where('number', 'like', 'F%')->firstOrFail();
        $view = $this->as('ines', 'GET', "findings/{$known->id}")->json();
        self::assertStringContainsString('It was found there before, as P0118', $view['sentence']);
        self::assertStringContainsString('union tightened', $view['repeat']);
        self::assertSame(
            ['finding'],
            array_values(array_unique(array_column(
                array_filter($view['history'], static fn(array $h): bool => str_starts_with($h['title'], 'P0118')),
                'kind',
            ))),
        );
        $suspects = array_filter($view['history'], static fn(array $h): bool => $h['suspect']);
        self::assertLessThanOrEqual(1, count($suspects));
        foreach ($view['history'] as $line) {
            self::assertTrue($line['inDays'] || $line['inFlights'], $line['title']);
        }
    }

    public function test_what_was_touched_yesterday_is_the_first_suspect(): void
    {
        $card = $this->card();
        $this->as('oda', 'POST', "cards/{$card->id}/findings", ['place' => 'hand pump', 'extent' => 'wet'])->assertOk();
        $finding = $card->findings()->firstOrFail();
        $history = $this->as('ines', 'GET', "findings/{$finding->id}")->json('history');
        $first = array_values(array_filter($history, static fn(array $h): bool => $h['suspect']))[0];
        self::assertSame(['part', 'today', 'JV-3231-09 Hand pump seal kit'], [
            $first['kind'], $first['ago'], $first['title'],
        ]);
        DB::table('fitted_parts')->delete();
        $history = $this->as('ines', 'GET', "findings/{$finding->id}")->json('history');
        self::assertNotSame(
            'part',
            array_values(array_filter($history, static fn(array $h): bool => $h['suspect']))[0]['kind'] ?? '',
        );
    }

    public function test_a_photo_is_kept_on_disk_once_and_given_back_as_it_was(): void
    {
        $finding = Finding::where('state', 'open')->firstOrFail();
        $file = UploadedFile::fake()->image('crack.png', 40, 30);
        $bytes = $file->getContent();
        $this->actingAs($this->person('oda'))
            ->post("/api/findings/{$finding->id}/photos", ['photo' => $file], ['Accept' => 'application/json'])
            ->assertOk()->assertJsonPath('photos.0.bytes', strlen($bytes));
        $this->actingAs($this->person('oda'))
            ->post("/api/findings/{$finding->id}/photos", ['photo' => $file], ['Accept' => 'application/json'])
            ->assertOk()->assertJsonCount(1, 'photos');
        $photo = Photo::firstOrFail();
        $response = $this->actingAs($this->person('mika'))->get("/api/photos/{$photo->id}")->assertOk()
            ->assertHeader('Content-Type', 'image/png');
        self::assertSame($bytes, $response->streamedContent());
        self::assertSame(hash('sha256', $bytes), $photo->sha256);

        $file = sys_get_temp_dir().'/jorvel-backup-'.getmypid();
        self::assertSame(0, Artisan::call('jorvel:backup', ['file' => $file]));
        self::assertStringContainsString('1 photo', Artisan::output());
        self::assertSame($bytes, file_get_contents("{$file}.photos/{$photo->file}"));
        array_map(unlink(...), ["{$file}.photos/{$photo->file}", $file]);
        rmdir("{$file}.photos");
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrongPhotos(): iterable
    {
        yield 'a script that says it is a picture' => ['<?php echo 1;', 'no JPEG, PNG or WebP'];
        yield 'a drawing with a script in it'
            => ['<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>', 'no JPEG, PNG or WebP'];
        yield 'another kind of picture' => [
            "GIF89a\x01\x00\x01\x00\x80\x00\x00\x00\x00\x00\xff\xff\xff!\xf9\x04\x01\x00\x00\x00\x00,\x00\x00\x00\x00\x01\x00\x01\x00\x00\x02\x02D\x01\x00;",
            'no JPEG, PNG or WebP',
        ];
        yield 'nothing' => [' ', 'no JPEG, PNG or WebP'];
    }

    #[DataProvider('wrongPhotos')]
    public function test_what_is_no_photo_is_refused_and_the_finding_kept(string $bytes, string $why): void
    {
        $finding = Finding::where('state', 'open')->firstOrFail();
        $said = $this->actingAs($this->person('oda'))->post(
            "/api/findings/{$finding->id}/photos",
            ['photo' => UploadedFile::fake()->createWithContent('a.png', $bytes)],
            ['Accept' => 'application/json'],
        )->assertStatus(422)->json('message');
        self::assertStringContainsString($why, $said);
        self::assertSame([0, 0], [Photo::count(), count(glob(CommitPhoto::folder().'/*') ?: [])]);
    }
}
