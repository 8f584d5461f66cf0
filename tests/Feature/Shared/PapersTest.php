<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Release\Model\Certificate;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\Artisan;
use Tests\Feature\WorldCase;

/** What is printed and what the commands write. */
final class PapersTest extends WorldCase
{
    private function text(string $pdf): string
    {
        self::assertStringStartsWith('%PDF-', $pdf);
        $file = (string) tempnam(sys_get_temp_dir(), 'jorvel-pdf');
        file_put_contents($file, $pdf);
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' -');
        unlink($file);

        return (string) preg_replace('/\s+/u', ' ', $text);
    }

    public function test_the_card_pack_has_every_step_with_its_limits_and_blanks(): void
    {
        $visit = Visit::with('cards.steps', 'cards.template.manual')->where('state', Visit::IN_WORK)->firstOrFail();
        $text = $this->text((string) $this->as(
            'mika',
            'GET',
            "release/{$visit->id}/cards.pdf",
        )->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent());
        foreach ($visit->cards as $card) {
            self::assertStringContainsString("{$card->number} {$card->title}", $text);
            self::assertStringContainsString(
                "{$card->template->manual->code}, chapter {$card->template->chapter}, revision {$card->revision}",
                $text,
            );
        }
        self::assertStringContainsString('[24 to 28 N·m] reading: __________', $text, 'a limit, and where to write');
        self::assertStringContainsString('CAUTION: Read before you start.', $text);
        self::assertStringContainsString('Oda Fenn (T27)', $text, 'steps already done carry who did them');
        self::assertStringContainsString('Independent inspection ______', $text);
        self::assertStringContainsString('Damage known before', $text);
        self::assertStringContainsString(
            'The same place on the other side: Nothing there, lamp and glass, Oda Fenn (T27)',
            $text,
            'what followed from a finding is on the card at which it was found',
        );
        $card = $visit->cards->firstOrFail();
        $one = $this->text(
            (string) $this->as('mika', 'GET', "release/{$visit->id}/cards.pdf?cards={$card->id}")->getContent(),
        );
        self::assertStringContainsString("{$card->number} {$card->title}", $one);
        self::assertStringNotContainsString($visit->cards->last()->number, $one);
    }

    public function test_the_certificate_names_work_what_is_carried_and_who_signed(): void
    {
        $certificate = Certificate::with('person')->whereHas(
            'visit.aircraft',
            static fn($q) => $q->where('mark', 'QC-TAB'),
        )->orderByDesc('at')->firstOrFail();
        $text = $this->text(
            (string) $this->as('mika', 'GET', "release/{$certificate->visit_id}/certificate.pdf")->assertOk()
                ->getContent(),
        );
        foreach ([
            'Return to service', $certificate->number, 'QC-TAB', 'One thrust reverser, locked out', 'REVERSER 2 INOP',
            'Antiskid, one channel', "{$certificate->person->name}, stamp {$certificate->person->stamp}",
            'does not stand in place of local rules or a licence',
        ] as $words) {
            self::assertStringContainsString($words, $text);
        }
        $this->as('mika', 'GET', 'release/1/certificate.pdf')->assertNotFound();
    }

    public function test_a_backup_is_a_whole_database_and_overwrites_nothing(): void
    {
        $file = sys_get_temp_dir().'/jorvel-backup-'.getmypid().'.sqlite';
        @unlink($file);
        self::assertSame(0, Artisan::call('jorvel:backup', ['file' => $file]));
        $copy = new \PDO("sqlite:{$file}");
        self::assertSame(20, (int) $copy->query('select count(*) from aircraft')->fetchColumn());
        self::assertSame('ok', $copy->query('pragma integrity_check')->fetchColumn());
        self::assertSame(1, Artisan::call('jorvel:backup', ['file' => $file]));
        self::assertStringContainsString('is there already; nothing was written', Artisan::output());
        unlink($file);
    }

    public function test_the_demo_loads_once_and_the_examples_print(): void
    {
        self::assertSame(0, Artisan::call('jorvel:demo'));
        self::assertStringContainsString('is there already', Artisan::output());
        foreach (['due', 'limit', 'rig', 'clock', 'release'] as $kind) {
            self::assertSame(0, Artisan::call('jorvel:compute', ['kind' => $kind, '--example' => true]));
            self::assertGreaterThanOrEqual(2, substr_count(Artisan::output(), '"expect"'), $kind);
        }
        self::assertSame(2, Artisan::call('jorvel:compute', ['kind' => 'due', 'file' => '/nowhere.json']));
        self::assertSame(2, Artisan::call('jorvel:bench', ['name' => 'nothing', '--as-is' => true]));
        self::assertSame(0, Artisan::call('jorvel:verify'));
        self::assertMatchesRegularExpression('/^\d+ records, whole\. Head [0-9a-f]{64}/', Artisan::output());
    }

    public function test_the_page_loads_nothing_from_elsewhere(): void
    {
        $page = $this->get('/fleet/QA-VFC')->assertOk();
        $policy = (string) $page->headers->get('Content-Security-Policy');
        self::assertStringContainsString("default-src 'self'", $policy);
        preg_match_all('/(?:src|href)="([^"]+)"/', (string) $page->getContent(), $found);
        self::assertNotEmpty($found[1]);
        foreach ($found[1] as $address) {
            self::assertMatchesRegularExpression('#^(/|http://127\.0\.0\.1|http://localhost)#', $address);
        }
        $this->get('/api/nothing')->assertNotFound();
    }
}
