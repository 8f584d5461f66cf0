<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Library\Model\Figure;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;

/** Drawings of one's own are brought and drawn anew; a card keeps the version that it was made with. */
final readonly class Figures
{
    public function __construct(private Clock $clock, private Records $records) {}

    /** @throws Refused for what is no drawing, or one that is there already */
    public function save(Person $by, AircraftType $type, string $code, string $title, string $bytes): Figure
    {
        $file = FigureFile::read($bytes);

        return DB::transaction(function () use ($by, $type, $code, $title, $file): Figure {
            $last = Figure::where(['type_id' => $type->id, 'code' => $code])->orderByDesc('version')->first();
            $data = base64_encode($file->bytes);
            if ($last?->data === $data && $last->title === $title) {
                throw Refused::because("{$code} is that drawing already. Nothing was saved.");
            }
            $figure = Figure::create([
                'type_id' => $type->id, 'code' => $code, 'version' => ($last->version ?? 0) + 1, 'title' => $title,
                'mime' => $file->mime, 'width' => $file->width, 'height' => $file->height, 'data' => $data,
                'person_id' => $by->id, 'at' => (string) $this->clock->now(),
            ]);
            $this->records->write($by, 'figure.saved', "figure:{$figure->id}", [
                'code' => $code, 'version' => $figure->version, 'sha256' => hash('sha256', $file->bytes),
            ]);

            return $figure;
        });
    }
}
