<?php

declare(strict_types=1);

namespace Tests\Feature\Library;

use App\Floor\Model\Card;
use App\Library\Model\CardTemplate;
use App\Library\Model\Figure;
use App\Library\Model\ProgrammeItem;
use App\Shared\Clock;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** Drawings of one's own: shapes and nothing else, every version kept, and a card keeps the one it was made with. */
final class FigureTest extends WorldCase
{
    private const HOSE = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 50"><path d="M0 0 L9 9"/></svg>';

    /** @return TestResponse<Response> */
    private function save(string $bytes, string $code = 'F-29-11', string $who = 'ines'): TestResponse
    {
        return $this->as($who, 'POST', 'library/figures/SKV', [
            'code' => $code, 'title' => 'A hose', 'data' => base64_encode($bytes),
        ]);
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        $svg = static fn(string $in): string => str_replace('<path d="M0 0 L9 9"/>', $in, self::HOSE);
        yield 'a script' => [$svg('<script>alert(1)</script>'), '<script>'];
        yield 'what is done on a touch' => [$svg('<path d="M0 0" onclick="x()"/>'), '"onclick"'];
        yield 'a picture from elsewhere' => [$svg('<image href="https://example.org/a.png"/>'), '<image>'];
        yield 'a fill from elsewhere' => [$svg('<path d="M0 0" fill="url(https://example.org/a)"/>'), '"fill"'];
        yield 'an entity' => ['<!DOCTYPE svg [<!ENTITY a "b">]>'.self::HOSE, 'no SVG'];
        yield 'no box' => ['<svg xmlns="http://www.w3.org/2000/svg"/>', 'viewBox'];
        yield 'something else' => ['%PDF-1.4', 'no SVG and no PNG'];
        yield 'a broken picture' => ["\x89PNG\r\n\x1a\n....", 'broken'];
        yield 'much too much' => [$svg(str_repeat('<path d="M0 0"/>', 20000)), '300 kB'];
    }

    #[DataProvider('refused')]
    public function test_what_is_no_plain_drawing_is_refused_with_what_is_in_it(string $bytes, string $says): void
    {
        $before = Figure::count();
        self::assertStringContainsString($says, (string) $this->save($bytes)->assertStatus(422)->json('message'));
        self::assertSame($before, Figure::count());
    }

    public function test_a_png_is_made_anew_so_that_nothing_hides_in_it(): void
    {
        $image = imagecreatetruecolor(40, 20);
        ob_start();
        imagepng($image);
        $this->save(ob_get_clean().'<?php echo 1;', 'F-1')->assertCreated();
        $data = (string) base64_decode(Figure::where('code', 'F-1')->firstOrFail()->data, true);
        self::assertStringNotContainsString('<?php', $data);
        self::assertSame([40, 20], array_slice((array) getimagesizefromstring($data), 0, 2));
    }

    public function test_a_card_keeps_the_drawing_it_was_made_with(): void
    {
        app(Clock::class)->start(Instant::parse('2026-05-05T08:20:00Z'));
        $this->save(self::HOSE, who: 'oda')->assertForbidden();
        $this->save(self::HOSE)->assertCreated();
        $this->save(self::HOSE)->assertStatus(422);
        $template = CardTemplate::where('code', 'SKV-29-11')->firstOrFail();
        $steps = $template->steps;
        $steps[0]['spec']['figure'] = ['code' => 'F-29-11', 'marks' => [['at' => [0.5, 0.5], 'says' => 'bowl']]];
        $template->update(['steps' => $steps]);
        $made = function (string $mark): Card {
            $visit = $this->as('ines', 'POST', 'visits', [
                'mark' => $mark, 'title' => 'Tests', 'bay' => 'line', 'start' => '2026-05-05', 'end' => '2026-05-06',
                'items' => [ProgrammeItem::where('code', '61-21')->valueOrFail('id')],
            ])->assertCreated()->json('id');
            $this->as('ines', 'POST', "visits/{$visit}/cards", [
                'template' => CardTemplate::where('code', 'SKV-29-11')->valueOrFail('id'),
            ])->assertCreated();

            return Card::where('visit_id', $visit)->orderByDesc('id')->with('template')->get()
                ->firstOrFail(static fn(Card $c): bool => $c->template->code === 'SKV-29-11');
        };
        $first = $made('QA-VFC');
        $this->save(str_replace('L9 9', 'L8 8', self::HOSE))->assertCreated();
        $second = $made('QA-VFE');
        $version = fn(Card $c): int => $this->as('oda', 'GET', "cards/{$c->id}")->assertOk()->json('figures.0.version');
        self::assertSame([1, 2], [$version($first), $version($second)]);
    }

    public function test_a_step_leads_only_to_what_is_there(): void
    {
        $body = ['code' => 'SKV-90-01', 'title' => 'T', 'manual' => 'AM-SKV', 'revision' => 1, 'chapter' => '29',
            'section' => '29-11', 'skill' => 'airframe', 'hours' => 1, 'zone' => 'wing', 'stage' => 'look',
            'steps' => [['kind' => 'instruction', 'title' => 'x', 'text' => '', 'spec' => [
                'figure' => ['code' => 'F-99'], 'see' => [['card' => 'SKV-99-99'], ['passage' => '99-99'], ['card' => 'SKV-GVI']],
            ]]],
        ];
        $faults = $this->as('ines', 'POST', 'library/card-sets/SKV/preview', ['body' => $body])->assertOk()->json('faults');
        self::assertSame(
            ['steps.0.spec.figure.code', 'steps.0.spec.see.0.card', 'steps.0.spec.see.1.passage'],
            array_column((array) $faults, 'path'),
        );
    }
}
