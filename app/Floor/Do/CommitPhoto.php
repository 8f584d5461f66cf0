<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Finding;
use App\Floor\Model\Photo;
use App\Floor\Model\Remark;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;

/** Keeps a photo, of a finding or at a step, on disk, once its bytes are what they claim to be. */
final readonly class CommitPhoto
{
    /** Eight megabytes. */
    public const MOST_BYTES = 8 * 1024 * 1024;

    private const KINDS = [
        IMAGETYPE_JPEG => ['jpg', 'image/jpeg'],
        IMAGETYPE_PNG => ['png', 'image/png'],
        IMAGETYPE_WEBP => ['webp', 'image/webp'],
    ];

    private const MOST_PIXELS = 60_000_000;

    public function __construct(private Clock $clock, private Records $records) {}

    public static function folder(): string
    {
        return (string) config('jorvel.photos');
    }

    /** @throws Refused for what is no picture, too large, or broken; the finding stays as it is */
    public function __invoke(Person $by, Finding $finding, string $bytes): Photo
    {
        [$sha, $ending, $mime] = self::looked($bytes, 'The finding itself is saved.');

        return DB::transaction(function () use ($by, $finding, $bytes, $sha, $ending, $mime): Photo {
            if ($finding->refresh()->state === Finding::FIXED) {
                throw Refused::because("Finding {$finding->number} is fixed; what was shown of it stays as it is.");
            }
            $kept = Photo::firstWhere(['finding_id' => $finding->id, 'sha256' => $sha]);
            if ($kept !== null) {
                return $kept;
            }
            $photo = $this->save($by, $finding->id, $bytes, "{$sha}.{$ending}", $mime);
            $this->records->write(
                $by,
                'finding.photo',
                "finding:{$finding->id}",
                ['number' => $finding->number, 'sha256' => $sha, 'bytes' => strlen($bytes)],
            );

            return $photo;
        });
    }

    /**
     * A photo at a step: as it was found, or as it was left, with a word.
     *
     * @throws Refused for what is no picture, on a card that is signed, or a photo that is there already
     */
    public function atStep(Person $by, Step $step, string $text, string $bytes): Remark
    {
        [$sha, $ending, $mime] = self::looked($bytes, 'Nothing was saved.');

        return DB::transaction(function () use ($by, $step, $text, $bytes, $sha, $ending, $mime): Remark {
            $step->load('card');
            if ($step->card->worked()) {
                throw Refused::because("Card {$step->card->number} is signed; what it shows stays as it is.");
            }
            if (Remark::where('step_id', $step->id)->whereRelation('photo', 'sha256', $sha)->exists()) {
                throw Refused::because('That photo is at this step already. Nothing was saved.');
            }
            $photo = $this->save($by, null, $bytes, "{$sha}.{$ending}", $mime);
            $remark = Remark::create([
                'card_id' => $step->card_id, 'step_id' => $step->id, 'person_id' => $by->id, 'text' => $text,
                'photo_id' => $photo->id, 'at' => (string) $this->clock->now(),
            ]);
            $this->records->write($by, 'step.photo', "card:{$step->card_id}", [
                'step' => $step->no, 'text' => $text, 'sha256' => $sha, 'bytes' => strlen($bytes),
            ]);

            return $remark;
        });
    }

    /**
     * @param string $else what is true of the rest when it is refused
     *
     * @return array{string, string, string} its hash, ending and kind
     */
    private static function looked(string $bytes, string $else): array
    {
        if (strlen($bytes) > self::MOST_BYTES) {
            throw Refused::because("The photo is larger than 8 MB. Take it smaller. {$else}");
        }
        $size = @getimagesizefromstring($bytes);
        [$ending, $mime] = self::KINDS[$size[2] ?? 0] ?? throw Refused::because(
            "This is no JPEG, PNG or WebP picture. {$else}",
        );
        if ($size[0] < 1 || $size[1] < 1 || $size[0] * $size[1] > self::MOST_PIXELS) {
            throw Refused::because("The picture is empty or has more than 60 million pixels. {$else}");
        }

        return [hash('sha256', $bytes), $ending, $mime];
    }

    private function save(Person $by, ?int $finding, string $bytes, string $file, string $mime): Photo
    {
        self::store($file, $bytes);

        return Photo::create([
            'finding_id' => $finding,
            'person_id' => $by->id,
            'file' => $file,
            'mime' => $mime,
            'bytes' => strlen($bytes),
            'sha256' => hash('sha256', $bytes),
            'at' => (string) $this->clock->now(),
        ]);
    }

    private static function store(string $name, string $bytes): void
    {
        $folder = self::folder();
        if (! is_dir($folder)) {
            mkdir($folder, 0o775, true);
        }
        // Whole or not at all: written beside, then moved into place.
        $beside = (string) tempnam($folder, 'part');
        if (file_put_contents($beside, $bytes) !== strlen($bytes) || ! rename($beside, "{$folder}/{$name}")) {
            @unlink($beside);
            throw Refused::because(
                'The photo could not be written to disk. All else is saved; tell whoever keeps the server.',
            );
        }
    }
}
