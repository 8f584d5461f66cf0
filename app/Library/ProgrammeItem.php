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

    /** Its limits in words: "300 fh +10 % or 12 months". */
    public function limitWords(): string
    {
        $joint = $this->rule === 'last' ? ' and ' : ' or ';

        return implode($joint, array_map(static function (array $l): string {
            $t = $l['tolerance'] ?? [];
            $slack = isset($t['abs']) ? " +{$t['abs']}" : (isset($t['pct']) ? " +{$t['pct']} %" : '');

            return "{$l['interval']} {$l['unit']}{$slack}";
        }, $this->limits));
    }
}
