<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Support\Facades\Artisan;
use RuntimeException;
use Tests\Browser\Stage;
use Tests\Browser\Visitor;

/**
 * How the Fleet screen of the large world feels in a browser: how soon it can be used, and how evenly it scrolls. It
 * needs the test libraries and Chromium.
 *
 * @phpstan-import-type Figure from LargeFigures
 */
final readonly class ScreenFigures
{
    /** @return iterable<Figure> */
    public function measure(): iterable
    {
        if (! class_exists(Stage::class)) {
            throw new RuntimeException('The screen is measured with the test libraries, and they are not installed.');
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'jorvel-bench');
        Artisan::call('jorvel:world', ['name' => 'large', '--seed' => 7, '--years' => 1, '--database' => $file]);
        app('db')->purge();
        $stage = Stage::open($file);
        try {
            $visitor = (new Visitor($stage->browser(), $stage->url))->signIn('mika');
            $ready = $frames = [];
            for ($i = 0; $i < 7; $i++) {
                $visitor->go('/fleet')->find('[data-mark]');
                $ready[] = (float) $visitor->browser->executeScript(
                    'return performance.getEntriesByName("fleet-ready")[0]?.startTime ?? NaN',
                );
            }
            $rows = (int) $visitor->browser->executeScript('return document.querySelectorAll("[data-mark]").length');
            for ($i = 0; $i < 3; $i++) {
                array_push($frames, ...$this->scroll($visitor));
            }
            yield $this->figure(
                'Fleet screen of 200 aircraft usable after navigation, median',
                self::part($ready, 0.5),
                'ms',
                1000,
            );
            yield $this->figure('rows of the 200 that are drawn at once', (float) $rows, 'rows', 80);
            yield $this->figure(
                'time between frames while scrolling through all, 95th percentile',
                self::part($frames, 0.95),
                'ms',
                50,
            );
        } finally {
            $stage->close();
            array_map(unlink(...), glob("{$file}*") ?: []);
        }
    }

    /** @return list<float> milliseconds between frames while the whole list passes by in two seconds */
    private function scroll(Visitor $visitor): array
    {
        return array_map(floatval(...), $visitor->browser->executeAsyncScript(<<<'JS'
            const done = arguments[0], times = [];
            window.scrollTo(0, 0);
            let last = performance.now(), begun = last;
            const end = document.documentElement.scrollHeight - innerHeight;
            const step = now => {
                times.push(now - last);
                last = now;
                const part = (now - begun) / 2000;
                window.scrollTo(0, end * part);
                part < 1 ? requestAnimationFrame(step) : done(times.slice(2));
            };
            requestAnimationFrame(step);
            JS));
    }

    /** @param list<float> $values */
    private static function part(array $values, float $part): float
    {
        sort($values);

        return $values[(int) min(
            count($values) - 1,
            floor(count($values) * $part),
        )] ?? throw new RuntimeException('nothing was measured');
    }

    /** @return Figure */
    private function figure(string $metric, float $value, string $unit, float $aim): array
    {
        return [
            'bench' => 'screen',
            'metric' => $metric,
            'value' => $value,
            'unit' => $unit,
            'aim' => $aim,
            'more' => false,
        ];
    }
}
