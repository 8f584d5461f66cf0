<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;

/** The `set` kind: are these alike. */
final class SetKind implements Kind
{
    public function name(): string
    {
        return 'set';
    }

    public function compute(Input $in): array
    {
        return Alike::of($in->floats('values'), $in->number('max_spread'))->toArray();
    }
}
