<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use Jorvel\Core\Contract\Door;
use Jorvel\Core\Contract\Kinds;
use Jorvel\Core\Shared\InputError;
use Symfony\Component\Console\Output\ConsoleOutputInterface;

/** The core on the command line. Exit 0 with the result, 2 with what is wrong on standard error. */
final class Compute extends Command
{
    protected $signature = 'jorvel:compute {kind} {file=- : a JSON file, or - for standard input} {--example : '
        .'print the kind\'s worked examples}';

    protected $description = 'Compute one kind of the core from JSON';

    public function handle(): int
    {
        $kind = (string) $this->argument('kind');
        try {
            if (! isset(Kinds::all()[$kind])) {
                throw InputError::at(
                    '',
                    "\"{$kind}\" is not a kind; use one of ".implode(', ', array_keys(Kinds::all())),
                );
            }
            if ($this->option('example')) {
                foreach (glob(base_path("core/examples/{$kind}/*.json")) ?: [] as $path) {
                    $this->output->write((string) file_get_contents($path), false, 16);
                }

                return self::SUCCESS;
            }
            $this->output->writeln(Door::compute($kind, $this->text()), 16);

            return self::SUCCESS;
        } catch (InputError $e) {
            $output = $this->output->getOutput();
            ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln(
                json_encode($e->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE),
                16,
            );

            return 2;
        }
    }

    /** @throws InputError when the file cannot be read */
    private function text(): string
    {
        $file = (string) $this->argument('file');
        if ($file !== '-' && ! is_readable($file)) {
            throw InputError::at('', "cannot read {$file}");
        }

        return (string) ($file === '-' ? stream_get_contents(STDIN) : file_get_contents($file));
    }
}
