<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Release;

use Jorvel\Core\Crew\Role;
use Jorvel\Core\Release\LineSigner;
use PHPUnit\Framework\TestCase;

final class LineSignerTest extends TestCase
{
    public function test_whoever_worked_it_signs_it_unless_something_was_put_right(): void
    {
        foreach ([[true, false, Role::Perform], [true, true, Role::Certify], [false, false, Role::Certify],
            [false, true, Role::Certify]] as [$hand, $fixed, $role]) {
            self::assertSame($role, LineSigner::needs($hand, $fixed));
        }
    }
}
