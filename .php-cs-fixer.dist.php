<?php

declare(strict_types=1);

$finder = (new PhpCsFixer\Finder())
    ->in(__DIR__)
    ->exclude(['vendor', 'node_modules', 'storage', 'bootstrap/cache', 'public', 'resources'])
    ->append([__DIR__.'/core/bin/watchpost', __DIR__.'/artisan']);

return (new PhpCsFixer\Config())
    ->setParallelConfig(new PhpCsFixer\Runner\Parallel\ParallelConfig(2))
    ->setRiskyAllowed(true)
    ->setRules([
        '@PER-CS' => true,
        '@PHP82Migration' => true,
        'function_declaration' => ['closure_fn_spacing' => 'one'],
        'declare_strict_types' => true,
        'no_unused_imports' => true,
        'ordered_imports' => ['sort_algorithm' => 'alpha'],
        'single_quote' => true,
        'strict_comparison' => true,
        'not_operator_with_successor_space' => true,
        'concat_space' => ['spacing' => 'none'],
        'phpdoc_align' => false,
        'no_superfluous_phpdoc_tags' => ['allow_mixed' => true],
        'global_namespace_import' => false,
        'fully_qualified_strict_types' => ['import_symbols' => true, 'leading_backslash_in_global_namespace' => true],
        'native_function_invocation' => false,
        'single_line_empty_body' => false,
        'braces_position' => ['anonymous_classes_opening_brace' => 'same_line'],
        'new_with_parentheses' => true,
    ])
    ->setFinder($finder);
