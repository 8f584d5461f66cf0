<?php

declare(strict_types=1);
use PhpCsFixer\Config;
use PhpCsFixer\Finder;
use PhpCsFixer\Runner\Parallel\ParallelConfig;

$files = Finder::create()->in(
    [
        __DIR__.'/app', __DIR__.'/bootstrap', __DIR__.'/compat', __DIR__.'/config', __DIR__.'/core',
        __DIR__.'/database', __DIR__.'/lang', __DIR__.'/public', __DIR__.'/routes', __DIR__.'/tests',
    ],
)
    ->exclude('cache')->append([__DIR__.'/artisan', __DIR__.'/server.php', __FILE__]);

$config = (new Config)->setParallelConfig(new ParallelConfig(2))->setRiskyAllowed(true);

return $config->setFinder($files)->setRules([
    '@PER-CS' => true,
    '@PHP82Migration' => true,
    'declare_strict_types' => true,
    'strict_comparison' => true,
    'no_unused_imports' => true,
    'ordered_imports' => true,
    'fully_qualified_strict_types' => ['import_symbols' => true],
    'single_quote' => true,
    'concat_space' => ['spacing' => 'none'],
    'not_operator_with_successor_space' => true,
    'new_with_parentheses' => ['named_class' => false, 'anonymous_class' => false],
    'trailing_comma_in_multiline' => ['elements' => ['arrays', 'arguments', 'parameters', 'match']],
    'method_argument_space' => ['on_multiline' => 'ensure_fully_multiline', 'attribute_placement' => 'same_line'],
    'class_attributes_separation' => ['elements' => ['method' => 'one', 'property' => 'one']],
]);
