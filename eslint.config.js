import js from '@eslint/js';
import globals from 'globals';

export default [
    js.configs.recommended,
    {
        files: ['resources/js/**/*.js'],
        languageOptions: { ecmaVersion: 2022, sourceType: 'module', globals: globals.browser },
        rules: {
            eqeqeq: 'error',
            'no-var': 'error',
            'prefer-const': 'error',
            'max-lines-per-function': ['error', { max: 55, skipBlankLines: true, skipComments: true }],
        },
    },
    {
        files: ['public/service-worker.js'],
        languageOptions: { ecmaVersion: 2022, sourceType: 'script', globals: globals.serviceworker },
    },
    {
        files: ['tests/JavaScript/**/*.mjs'],
        languageOptions: { ecmaVersion: 2022, sourceType: 'module', globals: globals.node },
    },
];
