<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/** The `response` kind: does the engine hold its power through a control change-over. */
final class ResponseKind implements Kind
{
    public function name(): string
    {
        return 'response';
    }

    public function compute(Input $in): array
    {
        $hold = $in->object('hold');
        try {
            $steady = Steadiness::of(
                $hold->string('signal'),
                $hold->number('target'),
                $hold->number('tolerance'),
                $hold->number('seconds'),
            );
        } catch (InputError $e) {
            throw $e->under('hold');
        }
        $names = array_filter([$in->string('signal'), $steady->signal, $in->stringOr('partner', '')]);
        $t = $modes = [];
        $columns = array_fill_keys($names, []);
        $in->each('samples', static function (Input $s) use (&$t, &$modes, &$columns): void {
            $t[] = $s->number('t');
            $modes[] = $s->string('mode');
            foreach (array_keys($columns) as $name) {
                if (! $s->has((string) $name)) {
                    throw InputError::missing($s->path((string) $name));
                }
                $columns[$name][] = $s->number((string) $name);
            }
        });

        return Response::of(
            Samples::of($t, $columns),
            $modes,
            $in->string('signal'),
            $in->has('partner') ? $in->string('partner') : null,
            $steady,
            $in->number('watch_seconds'),
            $in->number('limit_points'),
            $in->number('usual_points'),
        )->toArray();
    }
}
