<?php

declare(strict_types=1);

// Mutation tests of the core, room by room: `./jorvel mutate [ROOM]`. Prints what survived, and the score.

namespace Tests\Mutation;

require dirname(__DIR__, 2).'/vendor/autoload.php';

const SECONDS = 30;
$root = dirname(__DIR__, 2);
$at = static fn(string $room): array
    => array_values(array_filter(["{$root}/core/tests/{$room}", "{$root}/core/tests/Contract"], file_exists(...)));
$rooms = array_map(basename(...), glob("{$root}/core/src/*", GLOB_ONLYDIR) ?: []);
$rooms = array_values(array_filter($rooms, static fn(string $r): bool => is_dir("{$root}/core/tests/{$r}")));
if (isset($argv[1])) {
    $asked = ucfirst(strtolower($argv[1]));
    if (! in_array($asked, $rooms, true)) {
        fwrite(STDERR, "The core has no room {$asked} with tests; there are ".implode(', ', $rooms).".\n");
        exit(2);
    }
    $rooms = [$asked];
}
$folder = sys_get_temp_dir().'/jorvel-mutants-'.getmypid();
mkdir($folder);
register_shutdown_function(static function () use ($folder): void {
    array_map(unlink(...), glob("{$folder}/*") ?: []);
    rmdir($folder);
});

/** @param list<string> $tests */
$suite = static function (array $tests) use ($folder): string {
    $files = implode('', array_map(
        static fn(string $t): string => is_dir($t) ? "<directory>{$t}</directory>" : "<file>{$t}</file>",
        $tests,
    ));
    file_put_contents(
        $xml = "{$folder}/suite.xml",
        "<phpunit><testsuites><testsuite name=\"room\">{$files}</testsuite></testsuites></phpunit>",
    );

    return $xml;
};
/** @param list<string> $more */
$command = static fn(string $xml, array $more): array
    => [
        PHP_BINARY, '-d', 'memory_limit=512M', '-d', "pcov.directory={$root}/core/src", "{$root}/vendor/bin/phpunit",
        '--configuration', $xml, '--bootstrap', __DIR__.'/bootstrap.php', '--do-not-cache-result', '--no-progress',
        ...$more,
    ];
$silent = [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']];

foreach ($rooms as $room) {
    $xml = $suite($at($room));
    $reached = null;
    if (extension_loaded('pcov')) {
        $map = "{$folder}/map.php";
        $process = proc_open(
            $command($xml, ['--coverage-php', $map, '--coverage-filter', "{$root}/core/src/{$room}"]),
            $silent,
            $pipes,
        );
        proc_close($process);
        $reached = is_file($map) ? (include $map)->getData()->lineCoverage() : null;
    } elseif (proc_close(proc_open($command($xml, []), $silent, $pipes)) !== 0) {
        fwrite(STDERR, "{$room}: its tests fail as they are.\n");
        exit(1);
    }
    $jobs = [];
    foreach (glob("{$root}/core/src/{$room}/*.php") ?: [] as $file) {
        $lines = $reached === null
            ? null
            : array_keys(
                array_filter($reached[$file] ?? [], static fn(?array $tests): bool => $tests !== null && $tests !== []),
            );
        foreach (Mutants::of((string) file_get_contents($file), $lines) as $mutant) {
            $jobs[] = [...$mutant, 'file' => $file];
        }
    }
    [$killed, $alive, $running, $total] = [0, [], [], count($jobs)];
    while ($jobs !== [] || $running !== []) {
        while ($jobs !== [] && count($running) < 4) {
            $job = array_shift($jobs);
            $path = (string) tempnam($folder, 'm');
            file_put_contents($path, $job['code']);
            $env = [
                ...getenv(), 'MUTANT_FILE' => $path,
                'MUTANT_CLASS' => "Jorvel\\Core\\{$room}\\".basename($job['file'], '.php'),
            ];
            $running[] = [
                proc_open($command($xml, ['--stop-on-defect']), $silent, $pipes, null, $env), microtime(true), $job,
                $path,
            ];
        }
        usleep(10_000);
        foreach ($running as $i => [$process, $since, $job, $path]) {
            $status = proc_get_status($process);
            if ($status['running'] && microtime(true) - $since < SECONDS) {
                continue;
            }
            // What never ends is noticed, too.
            if ($status['running']) {
                proc_terminate($process, 9);
            }
            ! $status['running'] && $status['exitcode'] === 0 ? $alive[] = $job : $killed++;
            proc_close($process);
            unlink($path);
            unset($running[$i]);
        }
    }
    foreach ($alive as $job) {
        printf("%s:%d  %s  ->  %s\n", substr($job['file'], strlen($root) + 1), $job['line'], ...array_map(
            static fn(string $s): string
                => mb_strimwidth((string) preg_replace('/\s+/', ' ', $s), 0, 70, '…'),
            [$job['from'], $job['to']],
        ));
    }
    printf(
        "%s: %d of %d %smutants killed, %.0f %%\n",
        $room,
        $killed,
        $total,
        $reached === null ? '' : 'covered ',
        $total === 0 ? 100 : 100 * $killed / $total,
    );
}
