<?php

declare(strict_types=1);

namespace App\Deferrals\Model;

use App\Fleet\Model\AircraftType;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Deferrals\ListedItem as Allowed;

/**
 * A defect that the type's approved list allows to be carried, and on what terms: one version of it. Its text never
 * changes; a newer version takes its place, and what was deferred under this one goes on by this one.
 *
 * @property int $id
 * @property int $type_id
 * @property string $code
 * @property int $version
 * @property int $revision of the list that brought it
 * @property string $state `in_force`, `superseded` or `withdrawn`
 * @property array<string, mixed> $body as core/schema/listed.json has it
 * @property string $title
 * @property string $chapter
 * @property string $category
 * @property array<string, float> $limits as in the `clock` kind
 * @property string $conditions
 * @property string $placard
 * @property-read AircraftType $type
 */
final class ListedItem extends Model
{
    public const IN_FORCE = 'in_force';

    public const SUPERSEDED = 'superseded';

    public const WITHDRAWN = 'withdrawn';

    protected $casts = ['limits' => 'array', 'body' => 'array'];

    private ?Allowed $terms = null;

    /** What it allows, and on which terms. */
    public function terms(): Allowed
    {
        return $this->terms ??= Allowed::of(self::object($this->body));
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return \stdClass as it is in a file
     */
    public static function object(array $body): \stdClass
    {
        foreach (['limits', 'restrict'] as $map) {
            if (isset($body[$map])) {
                $body[$map] = (object) $body[$map];
            }
        }

        return (object) $body;
    }

    /**
     * The columns of an item of a list.
     *
     * @param array<string, mixed> $body as in the file
     *
     * @return array<string, mixed>
     */
    public static function row(int $typeId, array $body, int $revision, int $version): array
    {
        return [
            'type_id' => $typeId, 'code' => $body['code'], 'version' => $version, 'revision' => $revision,
            'state' => ($body['withdrawn'] ?? false) ? self::WITHDRAWN : self::IN_FORCE, 'body' => $body,
            'title' => $body['title'], 'chapter' => $body['chapter'], 'category' => $body['category'],
            'limits' => $body['limits'] ?? [], 'conditions' => $body['conditions'] ?? '',
            'placard' => $body['placard'],
        ];
    }

    /** @return Builder<ListedItem> of a type, by their codes */
    public static function inForce(int $typeId): Builder
    {
        return self::where(['type_id' => $typeId, 'state' => self::IN_FORCE])->orderBy('code');
    }

    /** @return BelongsTo<AircraftType, $this> */
    public function type(): BelongsTo
    {
        return $this->belongsTo(AircraftType::class);
    }
}
