<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Bench\Model\Recorder;
use App\Crew\Model\Person;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Bench\RecorderMap;
use Jorvel\Core\Shared\InputError;

/** How a recorder writes its files is put down once, and kept with it. */
final readonly class MapRecorder
{
    public function __construct(private Records $records) {}

    /** @throws Refused for what is no map, at its place, or where somebody else wrote meanwhile */
    public function __invoke(Person $by, Recorder $recorder, string $text, int $seen): Recorder
    {
        $map = json_decode($text, true);
        if (! is_array($map)) {
            throw Refused::because('It is no JSON object. Nothing was saved.');
        }
        try {
            RecorderMap::from($map);
        } catch (InputError $e) {
            throw Refused::because(ucfirst(trim("{$e->path} {$e->getMessage()}")).'. Nothing was saved.');
        }

        return DB::transaction(function () use ($by, $recorder, $map, $seen): Recorder {
            $recorder->refresh();
            if ($recorder->version !== $seen) {
                throw Refused::stale(
                    "Somebody else changed {$recorder->code} meanwhile. What you wrote is still here; nothing was "
                        .'saved.',
                    $recorder->mapping,
                );
            }
            $recorder->update(['mapping' => $map, 'version' => $seen + 1]);
            $this->records->write($by, 'recorder.mapped', "recorder:{$recorder->id}", [
                'code' => $recorder->code, 'mapping' => $map,
            ]);

            return $recorder;
        });
    }
}
