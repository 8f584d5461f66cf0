<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * The rules stand on nothing but themselves; only the contract's schema check may use the schema library, and only the
 * expressions of a card the expression library. Run by PHPStan.
 */
final class Architecture
{
    public function test_core_depends_on_nothing(): Rule
    {
        return PHPat::rule()->classes(Selector::inNamespace('Jorvel\Core'))
            ->excluding(
                Selector::inNamespace('Jorvel\Core\Tests'),
                Selector::classname('Jorvel\Core\Contract\Schema'),
                Selector::classname('Jorvel\Core\Library\Expression'),
            )
            ->canOnlyDependOn()->classes(Selector::inNamespace('Jorvel\Core'))
            ->because('the rules of the work are tested and trusted on their own');
    }

    public function test_the_schema_check_uses_only_the_schema_library(): Rule
    {
        return PHPat::rule()->classes(Selector::classname('Jorvel\Core\Contract\Schema'))->canOnlyDependOn()
            ->classes(Selector::inNamespace('Jorvel\Core'), Selector::inNamespace('Opis\JsonSchema'))
            ->because('one library, in one place');
    }

    public function test_the_expressions_use_only_the_expression_library(): Rule
    {
        return PHPat::rule()->classes(Selector::classname('Jorvel\Core\Library\Expression'))->canOnlyDependOn()
            ->classes(
                Selector::inNamespace('Jorvel\Core'),
                Selector::inNamespace('Symfony\Component\ExpressionLanguage'),
            )
            ->because('one library, in one place');
    }
}
