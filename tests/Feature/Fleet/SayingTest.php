<?php

declare(strict_types=1);

namespace Tests\Feature\Fleet;

use App\Fleet\Model\Component;
use App\Fleet\Model\PressureReading;
use App\Fleet\Show\ShowReach;
use App\Fleet\Show\View\StopView;
use App\Shared\Calendar;
use App\Shared\Csv;
use Eris\Generators;
use Eris\TestTrait;
use Illuminate\Support\Facades\Artisan;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** How things are said: the sentence that comes first, files that go out, figures. */
final class SayingTest extends WorldCase
{
    use TestTrait;

    /**
     * @return iterable<string, array{string, string, string, string, int, string, string}> kind, title, left, date,
     *   days, counted to, sentence
     */
    public static function stops(): iterable
    {
        yield 'by use, counted yesterday' => [
            'usage', 'Propeller governor check', '41 flight hours', '2026-05-14', 9, '2026-05-04',
            'QA-VFC can fly until Thu 14 May: propeller governor check, 41 flight hours from now.',
        ];
        yield 'by use, counted long ago' => [
            'usage', 'Phase check', '41 flight hours', '2026-05-14', 9, '2026-05-01',
            'QA-VFC can fly until Thu 14 May: phase check, 41 flight hours after its last count, of Fri 1 May.',
        ];
        yield 'by the calendar' => [
            'calendar', 'Weighing', '9 days', '2027-01-14', 254, '2026-05-04',
            'QA-VFC can fly until Thu 14 Jan 2027: weighing, in 254 days.',
        ];
        yield 'by a deferral, tomorrow' => [
            'deferral', 'Antiskid', 'deferred, category B', '2026-05-06', 1, '2026-05-04',
            'QA-VFC can fly until Wed 6 May: its deferral of Antiskid runs out tomorrow.',
        ];
        yield 'by a bottle, today' => [
            'bottle', 'Crew oxygen bottle B1 runs low', '', '2026-05-05', 0, '2026-05-04',
            'QA-VFC can fly until Tue 5 May: crew oxygen bottle B1 runs low, today.',
        ];
        yield 'too late' => [
            'calendar', 'Weighing', '-2 days', '2026-05-03', -2, '2026-05-04',
            'QA-VFC must not fly: its limit passed on Sun 3 May, weighing.',
        ];
    }

    #[DataProvider('stops')]
    public function test_the_sentence_a_controller_came_for(
        string $kind,
        string $title,
        string $left,
        string $date,
        int $days,
        string $counted,
        string $said,
    ): void {
        self::assertSame(
            $said,
            app(ShowReach::class)->sentence('QA-VFC', $counted, new StopView($kind, $title, $left, $date, $days, null)),
        );
    }

    /**
     * @return iterable<string, array{list<array{string, float}>, float|null, string, string}> readings at 21 °C, what
     *   use takes, state, what is said
     */
    public static function bottles(): iterable
    {
        yield 'use' => [
            [['2026-04-05', 110], ['2026-04-15', 109], ['2026-04-25', 108]], 0.1, 'clear',
            'Falls 0.1 bar a day, within twice the 0.1 that use takes; at its minimum in 170 days.',
        ];
        yield 'soon' => [
            [['2026-04-05', 93], ['2026-04-15', 92], ['2026-04-25', 91]], 0.1, 'stop',
            'Falls 0.1 bar a day, within twice the 0.1 that use takes; at its minimum today.',
        ];
        yield 'in three weeks' => [
            [['2026-04-05', 95], ['2026-04-15', 94], ['2026-04-25', 93]], 0.1, 'watch',
            'Falls 0.1 bar a day, within twice the 0.1 that use takes; at its minimum in 20 days.',
        ];
        yield 'a leak' => [
            [['2026-04-05', 150], ['2026-04-15', 146], ['2026-04-25', 142]], 0.1, 'watch',
            'Falls 0.4 bar a day: more than twice the 0.1 that use takes, look for a leak; at its minimum in 120 days.',
        ];
        yield 'nothing expected' => [
            [['2026-04-05', 110], ['2026-04-15', 109], ['2026-04-25', 108]], null, 'clear',
            'Falls 0.1 bar a day; at its minimum in 170 days.',
        ];
        yield 'holds' => [
            [['2026-04-05', 110], ['2026-04-15', 110], ['2026-04-25', 110]], 0.1, 'clear', 'Does not fall.',
        ];
        yield 'below' => [
            [['2026-04-05', 92], ['2026-04-15', 91], ['2026-04-25', 89]], null, 'stop',
            'Falls 0.15 bar a day; by the line it is below its minimum.',
        ];
        yield 'too few' => [
            [['2026-04-05', 110], ['2026-04-05', 109]], 0.1, 'waiting',
            'Fewer than three readings on different days since it was changed: no trend yet.',
        ];
    }

    /** @param list<array{string, float}> $readings */
    #[DataProvider('bottles')]
    public function test_what_a_bottle_says(array $readings, ?float $expected, string $state, string $said): void
    {
        $bottle = Component::where('kind', 'oxygen bottle')->whereHas('tenure')->firstOrFail();
        $bottle->update(
            ['gauge' => ['unit' => 'bar', 'minimum' => 90, ...($expected === null ? [] : ['expected' => $expected])]],
        );
        PressureReading::where('component_id', $bottle->id)->delete();
        foreach ($readings as [$date, $pressure]) {
            PressureReading::create([
                'component_id' => $bottle->id, 'date' => $date, 'pressure' => $pressure, 'temp_c' => 21,
                'replaced' => false, 'current' => true, 'at' => '2026-05-05T12:00:00Z',
            ]);
        }
        $view = array_column($this->as('mika', 'GET', 'bottles')->json('bottles'), null, 'component')[$bottle->id];
        self::assertSame([$state, $said], [$view['state'], $view['said']]);
        self::assertCount(count($readings), $view['readings']);
        self::assertSame($state === 'waiting' ? [0, 0] : [3, 2], [count($view['points']), count($view['line'])]);
    }

    public function test_csv_comes_back_as_it_went_out(): void
    {
        $cell = Generators::elements(
            'plain',
            'with, comma',
            "two\r\nlines",
            'a "quote"',
            '',
            ' space ',
            '0012',
            '5 ½ °C',
            '-3.5',
            'å',
        );
        $this->limitTo(80)->forAll(Generators::vector(4, Generators::vector(3, $cell)))
            ->then(static function (array $rows): void {
                $text = Csv::write(['a', 'b', 'c'], $rows);
                // Lines that are empty throughout at the very end are not lines.
                self::assertSame([['a', 'b', 'c'], ...$rows], Csv::read($text));
                self::assertStringEndsWith("\r\n", $text);
            });
        self::assertSame(
            "a\r\n'=1+1\r\n'@x\r\n-4\r\n",
            Csv::write(['a'], [['=1+1'], ['@x'], [-4]]),
            'no cell is a formula, a number stays one',
        );
        self::assertSame(
            [['mark', 'date']],
            Csv::read("\xEF\xBB\xBFmark,date\n\n\n"),
            'a mark at the beginning and empty lines at the end are nothing',
        );
    }

    public function test_a_calendar_line_is_folded_between_characters_and_unfolds_to_itself(): void
    {
        $this->limitTo(60)
            ->forAll(Generators::choose(0, 300), Generators::elements('x', 'æ', '€', '🛠', ',', ';', '\\', "\n"))
            ->then(static function (int $many, string $what): void {
                $title = 'begins '.str_repeat($what, $many).' ends';
                $calendar = new Calendar('all', Instant::parse('2026-05-05T12:20:00Z'));
                $calendar->add('one', Day::parse('2026-12-31'), Day::parse('2026-12-31'), $title, 'text');
                $text = $calendar->text();
                foreach (explode("\r\n", $text) as $line) {
                    self::assertLessThanOrEqual(75, strlen($line));
                    self::assertTrue(mb_check_encoding($line, 'UTF-8'));
                }
                $unfolded = str_replace("\r\n ", '', $text);
                self::assertStringContainsString(
                    "\r\nSUMMARY:".strtr($title, ['\\' => '\\\\', ';' => '\\;', ',' => '\\,', "\n" => '\\n'])."\r\n",
                    $unfolded,
                );
                self::assertStringContainsString(
                    "\r\nDTSTART;VALUE=DATE:20261231\r\nDTEND;VALUE=DATE:20270101\r\n",
                    $unfolded,
                );
                self::assertStringContainsString("\r\nDTSTAMP:20260505T122000Z\r\n", $unfolded);
            });
    }

    public function test_figures_are_lines_that_say_what_was_measured_and_whether_it_is_enough(): void
    {
        foreach (['due' => '1/s', 'fleet' => 'ms', 'page' => 'kB'] as $bench => $unit) {
            Artisan::call('jorvel:bench', ['name' => $bench, '--as-is' => true]);
            $figure = json_decode(trim(Artisan::output()), true, 4, JSON_THROW_ON_ERROR);
            self::assertSame(['bench', 'metric', 'value', 'unit', 'aim', 'met'], array_keys($figure));
            self::assertSame([$bench, $unit], [$figure['bench'], $figure['unit']]);
            self::assertGreaterThan(0, $figure['value']);
            self::assertSame(
                $bench === 'due' ? $figure['value'] >= $figure['aim'] : $figure['value'] < $figure['aim'],
                $figure['met'],
            );
        }
        self::assertSame(2, Artisan::call('jorvel:bench', ['name' => 'nothing', '--as-is' => true]));
    }
}
