<?php

declare(strict_types=1);

namespace App\Console;

use App\Release\Show\AgainstRecords;
use App\Shared\Records;
use Illuminate\Console\Command;

/** Walks the record chain, and compares what was signed with its rows. Exit 0 when whole, 1 when broken. */
final class Verify extends Command
{
    protected $signature = 'jorvel:verify';

    protected $description = 'Walk the record chain and find the first record that was changed';

    public function handle(Records $records, AgainstRecords $rows): int
    {
        $result = $records->verify();
        if ($result['broken'] !== null) {
            $this->error(
                "Record {$result['broken']['id']} is broken: {$result['broken']['why']}. The {$result['count']} "
                    .'records up to it were walked.',
            );

            return self::FAILURE;
        }
        $differences = $rows->differences();
        array_map($this->error(...), $differences);
        if ($differences !== []) {
            $this->error(
                'The chain itself is whole; '
                    .(count($differences) === 1 ? 'one row was' : count($differences).' rows were')
                    .' changed behind it.',
            );

            return self::FAILURE;
        }
        $this->line("{$result['count']} records, whole. Head {$result['head']}");

        return self::SUCCESS;
    }
}
