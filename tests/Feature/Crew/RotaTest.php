<?php

declare(strict_types=1);

namespace Tests\Feature\Crew;

use App\Crew\Model\Person;
use App\Crew\Model\Qualification;
use Tests\Feature\WorldCase;

/** Who is there on a day. */
final class RotaTest extends WorldCase
{
    public function test_the_rota_counts_who_is_there(): void
    {
        self::assertSame(26, Person::count());
        self::assertSame(3, Qualification::where(['kind' => 'authority', 'value' => 'certify'])->count());
    }
}
