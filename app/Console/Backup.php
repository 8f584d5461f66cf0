<?php

declare(strict_types=1);

namespace App\Console;

use App\Floor\Do\CommitPhoto;
use App\Shared\Words;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Copies the database into one file while it is in use. */
final class Backup extends Command
{
    protected $signature = 'jorvel:backup {file : where to write it; must not be there yet}';

    protected $description = 'Copy the database into one file, safely while it is in use, and the photos into a '
        .'folder beside it';

    public function handle(): int
    {
        $file = (string) $this->argument('file');
        if (file_exists($file)) {
            $this->error("{$file} is there already; nothing was written.");

            return self::FAILURE;
        }
        DB::statement('vacuum into ?', [$file]);
        $this->line("{$file}: ".filesize($file).' bytes.');
        $photos = glob(CommitPhoto::folder().'/*') ?: [];
        if ($photos !== []) {
            mkdir("{$file}.photos");
            foreach ($photos as $photo) {
                copy($photo, "{$file}.photos/".basename($photo));
            }
            $this->line("{$file}.photos: ".Words::count(count($photos), 'photo').'.');
        }

        return self::SUCCESS;
    }
}
