<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverDimension;
use RuntimeException;

/**
 * A served copy of the application with a database of its own, and browsers to look at it with; ends all it started.
 */
final class Stage
{
    /** Ports from the one to the other: below those that the system gives to whoever asks for any. */
    private const PORTS = [20_100, 20_900];

    /** @var array<string, resource> by name */
    private array $processes = [];

    /** @var list<RemoteWebDriver> */
    private array $browsers = [];

    private function __construct(
        public readonly string $url,
        private readonly string $driver,
        private readonly string $folder,
        /** @var list<resource> held while the stage is open, so that its ports are nobody else's */
        private array $locks,
    ) {}

    /** @param string|null $world a database file to serve a copy of; the demo world where null */
    public static function open(?string $world = null): self
    {
        $folder = sys_get_temp_dir().'/jorvel-stage-'.bin2hex(random_bytes(5));
        mkdir($folder);
        [[$port, $lock], [$driverPort, $driverLock]] = [self::port(), self::port()];
        $stage = new self(
            "http://127.0.0.1:{$port}",
            "http://127.0.0.1:{$driverPort}",
            $folder,
            [$lock, $driverLock],
        );
        // Also when the tests die in the middle.
        register_shutdown_function($stage->close(...));
        copy($world ?? self::demo(), "{$folder}/jorvel.sqlite");
        if ($world === null) {
            // As if it had been loaded just now: its clock begins at the demo's own "now".
            preg_match(
                "/'demo_now' => '([^']+)'/",
                (string) file_get_contents(dirname(__DIR__, 2).'/config/jorvel.php'),
                $now,
            );
            $now = (new \DateTimeImmutable($now[1] ?? throw new RuntimeException('The demo world has no now.')))
                ->getTimestamp();
            mkdir("{$folder}/photos");
            foreach (glob(self::demo().'-photos/*') ?: [] as $photo) {
                copy($photo, "{$folder}/photos/".basename($photo));
            }
            $stage->database()->exec('update settings set value = '.($now - time())." where name = 'clock_offset'");
        }
        $root = dirname(__DIR__, 2);
        $stage->serve();
        $stage->start([PHP_BINARY, "{$root}/artisan", 'queue:work', '--sleep=0.2', '--tries=3'], 'worker');
        $stage->start(['chromedriver', "--port={$driverPort}"], 'driver');
        $stage->wait($driverPort);

        return $stage;
    }

    /** The demo world as a file, made once for as long as nothing that it is made from has changed. */
    private static function demo(): string
    {
        $root = dirname(__DIR__, 2);
        $from = '';
        foreach (['app', 'config', 'core/src', 'core/schema', 'database'] as $folder) {
            $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(
                "{$root}/{$folder}",
                \FilesystemIterator::SKIP_DOTS,
            ));
            foreach ($files as $file) {
                $from .= str_contains($file->getFilename(), '.sqlite')
                    ? ''
                    : "{$file->getPathname()} {$file->getMTime()} {$file->getSize()}\n";
            }
        }
        $world = sys_get_temp_dir().'/jorvel-demo-'.md5($from).'.sqlite';
        $lock = fopen("{$world}.lock", 'c') ?: throw new RuntimeException('The demo world cannot be locked.');
        flock($lock, LOCK_EX);
        if (! is_file($world)) {
            touch("{$world}.new");
            $process = proc_open(
                [PHP_BINARY, "{$root}/artisan", 'jorvel:demo'],
                [1 => ['file', '/dev/null', 'w']],
                $pipes,
                null,
                self::settings('', "{$world}.new", "{$world}-photos"),
            );
            if ($process === false || proc_close($process) !== 0) {
                throw new RuntimeException('The demo world could not be made.');
            }
            rename("{$world}.new", $world);
        }
        flock($lock, LOCK_UN);

        return $world;
    }

    private function serve(): void
    {
        $root = dirname(__DIR__, 2);
        // What one server has compiled no other compiles again: there are many, and some are killed a hundred times.
        $compiled = sys_get_temp_dir().'/jorvel-compiled';
        @mkdir($compiled);
        $this->start([PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', "opcache.file_cache={$compiled}",
            // As ./jorvel up serves it.
            '-d',
            'upload_max_filesize=9M',
            '-d',
            'post_max_size=10M', '-S', substr($this->url, 7), '-t', "{$root}/public", "{$root}/server.php"], 'server');
        $this->wait((int) parse_url($this->url, PHP_URL_PORT));
    }

    /** Nothing reaches the server from now on: it is not there. */
    public function cut(): void
    {
        posix_kill(-proc_get_status($this->processes['server'])['pid'], SIGKILL);
        proc_close($this->processes['server']);
        unset($this->processes['server']);
        // Its workers die a moment after it; until then the port is theirs.
        for ($i = 0; $i < 500; $i++) {
            $socket = @fsockopen('127.0.0.1', (int) parse_url($this->url, PHP_URL_PORT), $code, $message, 1);
            if ($socket === false) {
                return;
            }
            fclose($socket);
            usleep(2_000);
        }
    }

    /** It is there again, with what it had; nothing happens when it never went. */
    public function restore(): void
    {
        if (! isset($this->processes['server'])) {
            $this->serve();
        }
    }

    /** @param bool $logs whether what it asks for is logged: that costs time */
    public function browser(int $width = 1280, int $height = 800, bool $logs = false): RemoteWebDriver
    {
        $options = new ChromeOptions;
        $options->addArguments([
            '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
            '--disable-background-networking', '--disable-component-update',
            '--disable-sync', '--force-device-scale-factor=1', '--hide-scrollbars',
            "--user-data-dir={$this->folder}/browser-".count($this->browsers), "--window-size={$width},{$height}",
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        if ($logs) {
            $capabilities->setCapability('goog:loggingPrefs', ['performance' => 'ALL']);
        }
        $browser = RemoteWebDriver::create($this->driver, $capabilities, 60_000, 150_000);
        $browser->manage()->timeouts()->setScriptTimeout(120);
        $browser->manage()->window()->setSize(new WebDriverDimension($width, $height));
        // The window's frame takes some of the height; give it back, so that the page itself is as tall as asked for.
        $inner = (int) $browser->executeScript('return window.innerHeight');
        $browser->manage()->window()->setSize(new WebDriverDimension($width, $height + $height - $inner));

        return $this->browsers[] = $browser;
    }

    /**
     * Runs an artisan command on this stage's own database.
     *
     * @return array{int, string} exit code and output
     */
    public function artisan(string ...$arguments): array
    {
        $process = proc_open(
            [PHP_BINARY, dirname(__DIR__, 2).'/artisan', ...$arguments],
            [1 => ['pipe', 'w']],
            $pipes,
            null,
            $this->environment(),
        );
        if ($process === false) {
            throw new RuntimeException('artisan could not be started');
        }
        $output = (string) stream_get_contents($pipes[1]);

        return [proc_close($process), $output];
    }

    public function database(): \PDO
    {
        return new \PDO("sqlite:{$this->folder}/jorvel.sqlite");
    }

    public function close(): void
    {
        foreach ($this->browsers as $browser) {
            $browser->quit();
        }
        $this->browsers = [];
        foreach (array_reverse($this->processes) as $process) {
            posix_kill(-proc_get_status($process)['pid'], SIGTERM);
            proc_close($process);
        }
        $this->processes = [];
        array_map(fclose(...), $this->locks);
        $this->locks = [];
        exec('rm -rf '.escapeshellarg($this->folder));
    }

    /** @param list<string> $command */
    private function start(array $command, string $name): void
    {
        $log = ['file', "{$this->folder}/{$name}.log", 'a'];
        $process = proc_open(
            ['setsid', ...$command],
            [['file', '/dev/null', 'r'], $log, $log],
            $pipes,
            null,
            $this->environment(),
        );
        $this->processes[$name] = $process !== false
            ? $process
            : throw new RuntimeException("{$command[0]} could not be started");
    }

    /** @return array<string, string> */
    private function environment(): array
    {
        return self::settings($this->url, "{$this->folder}/jorvel.sqlite", "{$this->folder}/photos");
    }

    /** @return array<string, string> */
    private static function settings(string $url, string $database, string $photos): array
    {
        return [
            ...getenv(), 'APP_ENV' => 'production', 'APP_DEBUG' => 'false',
            'APP_KEY' => 'base64:'.base64_encode(str_repeat('jorvel--', 4)), 'APP_URL' => $url,
            'DB_DATABASE' => $database, 'JORVEL_PHOTOS' => $photos,
            'SESSION_DRIVER' => 'quiet', 'CACHE_STORE' => 'database', 'PHP_CLI_SERVER_WORKERS' => '3',
        ];
    }

    private function wait(int $port): void
    {
        for ($i = 0; $i < 1500; $i++) {
            $socket = @fsockopen('127.0.0.1', $port, $code, $message, 1);
            if ($socket !== false) {
                fclose($socket);

                return;
            }
            usleep(10_000);
        }
        throw new RuntimeException("nothing answers at port {$port}");
    }

    /**
     * A port that nothing listens at and that no other stage, of this process or of one beside it, is about to take.
     *
     * @return array{int, resource} and what holds it
     */
    private static function port(): array
    {
        for ($port = self::PORTS[0]; $port < self::PORTS[1]; $port++) {
            $lock = fopen(sys_get_temp_dir()."/jorvel-port-{$port}", 'c');
            if ($lock === false || ! flock($lock, LOCK_EX | LOCK_NB)) {
                continue;
            }
            $socket = @stream_socket_server("tcp://127.0.0.1:{$port}");
            if ($socket !== false) {
                fclose($socket);

                return [$port, $lock];
            }
        }
        throw new RuntimeException('Every port that a stage may have is taken.');
    }
}
