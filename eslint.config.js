import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import globals from 'globals';
import ts from 'typescript-eslint';

export default ts.config(
    { ignores: ['vendor', 'node_modules', 'public', 'storage', 'bootstrap', 'test-results', 'playwright-report'] },
    js.configs.recommended,
    ...ts.configs.recommended,
    ...vue.configs['flat/recommended'],
    {
        files: ['**/*.vue'],
        languageOptions: { parserOptions: { parser: ts.parser } },
    },
    {
        languageOptions: { globals: { ...globals.browser, ...globals.node } },
        rules: {
            'vue/multi-word-component-names': 'off',
            '@typescript-eslint/consistent-type-imports': 'error',
            eqeqeq: 'error',
        },
    },
    prettier,
);
