<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/** The `phase` kind: reads its JSON input into values and writes the result. */
final class PhaseKind implements Kind
{
    public function name(): string
    {
        return 'phase';
    }

    public function compute(Input $in): array
    {
        $deadline = Deadline::in($in->intOr('budget_ms', 2000));
        $in->uniqueIds('items');
        $access = $in->numbers('access_hours');
        $items = $in->each('items', static fn(Input $i): array => [
            'id' => $i->string('id'), 'hours' => $i->number('hours'), 'access' => self::panels($i, $access),
            'together' => $i->has('together') ? $i->string('together') : null,
        ]);

        return Phases::cut($items, $access, $in->int('phases'), $deadline)->toArray();
    }

    /**
     * The panels of an item, each with hours of its own.
     *
     * @param array<string, float> $access
     *
     * @return list<string>
     *
     * @throws InputError at the panel
     */
    public static function panels(Input $item, array $access): array
    {
        $panels = $item->strings('access');
        foreach ($panels as $n => $panel) {
            if (! isset($access[$panel])) {
                throw $item->error("access.{$n}", "there are no access_hours for \"{$panel}\"");
            }
        }

        return $panels;
    }
}
