<?php

declare(strict_types=1);

namespace App\Console;

use App\Bench\Do\SimulatedRecorder;
use App\Bench\Model\Recorder;
use App\Stores\Model\Tool;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Http;
use Jorvel\Core\Practice\SimulatedInstrument;
use Jorvel\Core\Shared\InputError;

/**
 * An instrument that is not there: streams what it would show, one line of JSON a reading, and sends it where a real
 * one would. The same seed streams the same.
 */
final class Instrument extends Command
{
    /** Names as they are asked for, and the kind of tool that each is. */
    public const NAMES = [
        'pressure-gauge' => 'pressure gauge', 'torque-wrench' => 'torque wrench', 'protractor' => 'protractor',
        'tensiometer' => 'tensiometer', 'dial-gauge' => 'dial gauge', 'feeler-set' => 'feeler gauge',
        'thermometer' => 'thermometer', 'stop-watch' => 'stop watch',
    ];

    protected $signature = 'jorvel:instrument
        {name : pressure-gauge, torque-wrench, protractor, tensiometer, dial-gauge, feeler-set, thermometer, stop-watch, recorder, self-test}
        {--tool= : Code of the tool that it stands in for; the first of its kind that is in use}
        {--true=10 : The true value, in the tool\'s unit} {--seed=1} {--count=5 : Readings; 0 goes on}
        {--every=0 : Seconds between them} {--fault=none : none, stuck, wrong_unit, out_of_tolerance}
        {--code= : Of the self-test: the code that channel B shows} {--out= : Of the recorder: the file}
        {--post= : Address to send to} {--token= : Of the tool}';

    protected $description = 'A simulated instrument, which streams and sends what it shows';

    public function handle(): int
    {
        $name = (string) $this->argument('name');

        return match (true) {
            $name === 'recorder' => $this->recorder(),
            $name === 'self-test' => $this->selfTest(),
            isset(self::NAMES[$name]) => $this->readings(self::NAMES[$name]),
            default => $this->fails("There is no instrument \"{$name}\": use one of "
                .implode(', ', [...array_keys(self::NAMES), 'recorder', 'self-test']).'.'),
        };
    }

    private function readings(string $kind): int
    {
        $tool = Tool::where('kind', $kind)->when(
            $this->option('tool') !== null,
            fn($q) => $q->where('code', $this->option('tool')),
        )->orderBy('id')->first();
        if ($tool === null) {
            return $this->fails(
                "There is no {$kind}".($this->option('tool') === null ? '' : " {$this->option('tool')}")
                    .' in the store.',
            );
        }
        try {
            $is = SimulatedInstrument::of(
                $kind,
                $tool->instrument(),
                (int) $this->option('seed'),
                (string) $this->option('fault'),
            );
        } catch (InputError $e) {
            return $this->fails("--{$e->path} {$e->getMessage()}");
        }
        $count = (int) $this->option('count');
        $every = (float) $this->option('every');
        for ($n = 0; $count === 0 || $n < $count; $n++) {
            $value = $is->shows((float) $this->option('true'), $n, $n * $every / 3600);
            if (! $this->send(['value' => $value, 'unit' => $tool->unit], ['tool' => $tool->code])) {
                return self::FAILURE;
            }
            $every > 0 ? usleep((int) ($every * 1_000_000)) : null;
        }

        return self::SUCCESS;
    }

    private function selfTest(): int
    {
        $code = (string) ($this->option('code') ?? '');
        $b = $code === '' ? 'B PASS' : "B FAIL {$code}";
        foreach (['SELF-TEST RUNNING', 'ALL PANELS UP', 'A PASS', $b] as $said) {
            if (! $this->send(['said' => $said], [])) {
                return self::FAILURE;
            }
        }

        return self::SUCCESS;
    }

    private function recorder(): int
    {
        $recorder = Recorder::orderBy('id')->when(
            $this->option('tool') !== null,
            fn($q) => $q->where('code', $this->option('tool')),
        )->first();
        if ($recorder === null) {
            return $this->fails('There is no recorder of that code.');
        }
        $csv = SimulatedRecorder::csv($recorder->map(), (int) $this->option('seed'), 240.0, 10.0, [
            ['t' => 120.0, 'mode' => 'manual', 'swing' => (float) $this->option('true')],
        ]);
        $out = $this->option('out');
        if ($out === null) {
            $this->output->write($csv);

            return self::SUCCESS;
        }
        if (@file_put_contents((string) $out, $csv) === false) {
            return $this->fails("{$out} cannot be written. Choose another file.");
        }
        $this->line((string) json_encode(['file' => $out, 'bytes' => strlen($csv)], JSON_UNESCAPED_SLASHES));

        return self::SUCCESS;
    }

    /**
     * @param array<string, mixed> $reading
     * @param array<string, mixed> $more
     */
    private function send(array $reading, array $more): bool
    {
        $this->line((string) json_encode([...$more, ...$reading], JSON_UNESCAPED_UNICODE));
        $to = $this->option('post');
        if ($to === null) {
            return true;
        }
        $answer = Http::withToken((string) $this->option('token'))->acceptJson()
            ->post((string) $to, ['readings' => [$reading]]);
        if (! $answer->successful()) {
            $this->error((string) ($answer->json('message') ?? "{$to} answers {$answer->status()}."));
        }

        return $answer->successful();
    }

    private function fails(string $why): int
    {
        $this->error($why);

        return self::FAILURE;
    }
}
