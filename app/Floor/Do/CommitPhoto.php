<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Finding;
use App\Floor\Model\Photo;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;

/** Keeps a photo of a finding on disk, once its bytes are what they claim to be. */
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
        if (strlen($bytes) > self::MOST_BYTES) {
            throw Refused::because('The photo is larger than 8 MB. Take it smaller; the finding itself is saved.');
        }
        $size = @getimagesizefromstring($bytes);
        [$ending, $mime] = self::KINDS[$size[2] ?? 0] ?? throw Refused::because(
            'This is no JPEG, PNG or WebP picture. The finding itself is saved.',
        );
        if ($size[0] < 1 || $size[1] < 1 || $size[0] * $size[1] > self::MOST_PIXELS) {
            throw Refused::because(
                'The picture is empty or has more than 60 million pixels. The finding itself is saved.',
            );
        }
        $sha = hash('sha256', $bytes);

        return DB::transaction(function () use ($by, $finding, $bytes, $sha, $ending, $mime): Photo {
            if ($finding->refresh()->state === Finding::FIXED) {
                throw Refused::because("Finding {$finding->number} is fixed; what was shown of it stays as it is.");
            }
            $kept = Photo::firstWhere(['finding_id' => $finding->id, 'sha256' => $sha]);
            if ($kept !== null) {
                return $kept;
            }
            self::store("{$sha}.{$ending}", $bytes);
            $photo = Photo::create([
                'finding_id' => $finding->id,
                'person_id' => $by->id,
                'file' => "{$sha}.{$ending}",
                'mime' => $mime,
                'bytes' => strlen($bytes),
                'sha256' => $sha,
                'at' => (string) $this->clock->now(),
            ]);
            $this->records->write(
                $by,
                'finding.photo',
                "finding:{$finding->id}",
                ['number' => $finding->number, 'sha256' => $sha, 'bytes' => strlen($bytes)],
            );

            return $photo;
        });
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
                'The photo could not be written to disk. The finding itself is saved; tell whoever keeps the server.',
            );
        }
    }
}
