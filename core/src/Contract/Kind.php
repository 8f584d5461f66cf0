<?php

declare(strict_types=1);

namespace Jorvel\Core\Contract;

use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/** One computation as the command line and HTTP see it: a JSON object in, a JSON object out. */
interface Kind
{
    /** Its name, which is also that of its schema and of its examples' folder. */
    public function name(): string;

    /**
     * @param Input $in one object that has passed the kind's schema
     *
     * @return array<string, mixed>
     *
     * @throws InputError
     */
    public function compute(Input $in): array;
}
