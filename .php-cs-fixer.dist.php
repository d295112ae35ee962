<?php

declare(strict_types=1);

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setCacheFile(__DIR__ . '/var/.php-cs-fixer.cache')
    ->setRules([
        '@PER-CS' => true,
        'declare_strict_types' => true,
        'no_unused_imports' => true,
        'ordered_imports' => true,
        'single_quote' => true,
        'strict_comparison' => true,
    ])
    ->setFinder(PhpCsFixer\Finder::create()->in([
        __DIR__ . '/app', __DIR__ . '/bootstrap', __DIR__ . '/config', __DIR__ . '/core', __DIR__ . '/database',
        __DIR__ . '/public', __DIR__ . '/routes', __DIR__ . '/tests',
    ])->notPath('cache'));
