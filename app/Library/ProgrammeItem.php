<?php

declare(strict_types=1);

namespace App\Library;

use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Fleet\DueItem;
use Jorvel\Core\Fleet\DueKind;
use Jorvel\Core\Fleet\LastDone;
use Jorvel\Core\Shared\Input;

/**
 * A programme item of a type: what must be done, and how often.
 *
 * @property int $id
 * @property int $type_id
 * @property int $template_id
 * @property string $code
 * @property string $title
 * @property string $chapter
 * @property string $rule
 * @property string $rebase
 * @property list<array<string, mixed>> $limits as in the `due` kind
 * @property-read CardTemplate $template
 */
final class ProgrammeItem extends Model
{
    protected $casts = ['limits' => 'array'];

    private ?DueItem $never = null;

    /** @return BelongsTo<CardTemplate, $this> */
    public function template(): BelongsTo
    {
        return $this->belongsTo(CardTemplate::class);
    }

    /** The item as it stands on an aircraft that last had it done then, or never. */
    public function due(?LastDone $last): DueItem
    {
        $this->never ??= DueKind::item(Input::of((object) [
            'rule' => $this->rule,
            'rebase' => $this->rebase,
            'limits' => json_decode((string) json_encode($this->limits)),
        ]));

        return $last === null ? $this->never : DueItem::of($this->never->rule, $this->never->rebase, $this->never->limits, $last);
    }

    /**
     * Its limits in words: "300 fh +5 % or 12 months"; whole, with everything that can differ between two limits:
     * "300 fh, first at 400, +5 % at most 15, early 10 %".
     */
    public function limitWords(bool $whole = false): string
    {
        $joint = $this->rule === 'last' ? ' and ' : ' or ';

        return implode($joint, array_map(static function (array $l) use ($whole): string {
            $words = "{$l['interval']} {$l['unit']}";
            $slack = self::allowanceWords($l['tolerance'] ?? [], $whole);
            if (! $whole) {
                return $slack === '' ? $words : "{$words} +{$slack}";
            }
            $early = self::allowanceWords($l['early'] ?? [], true);

            return $words.(isset($l['threshold']) ? ", first at {$l['threshold']}" : '').($slack === '' ? '' : ", +{$slack}").($early === '' ? '' : ", early {$early}");
        }, $this->limits));
    }

    /** @param array<string, float|int> $allowance */
    private static function allowanceWords(array $allowance, bool $whole): string
    {
        if (isset($allowance['abs'])) {
            return (string) $allowance['abs'];
        }

        return isset($allowance['pct']) ? "{$allowance['pct']} %".($whole && isset($allowance['cap']) ? " at most {$allowance['cap']}" : '') : '';
    }
}
