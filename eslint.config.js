import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import ts from 'typescript-eslint';

/** Sentences are whole, their number forms are messages of their own, and figures are written by the reader's locale. */
const ABOUT_WORDS = [
  {
    selector:
      'TemplateLiteral ConditionalExpression :matches(Literal[value=/^[^<>="]*[a-z]{2}[^<>="]*$/], TemplateElement[value.raw=/^[^<>="]*[a-z]{2}[^<>="]*$/])',
    message: 'A sentence is not put together from halves: write both whole, in the words file.',
  },
  {
    selector: "ConditionalExpression[test.operator='==='][test.right.value=1] > Literal[value=/[a-z]{2}/]",
    message: 'Number forms are messages of their own: byCount(count, { one, other }).',
  },
  {
    selector: "BinaryExpression[operator='+'] > Literal[value=/[a-z]{2}.* | .*[a-z]{2}/]",
    message: 'A sentence is not put together from halves: write it whole, in the words file.',
  },
  {
    selector:
      "CallExpression[callee.property.name='toLowerCase'] > MemberExpression > MemberExpression[property.name=/^(name|label)$/]",
    message: 'A name keeps its capitals: use inSentence.',
  },
  {
    selector:
      "CallExpression[callee.property.name=/^(replace|replaceAll|slice|split|toLowerCase|toUpperCase)$/] > MemberExpression > CallExpression[callee.object.name='say']",
    message: 'A finished sentence is not edited: write the other one whole.',
  },
  {
    selector: "CallExpression[callee.property.name='toLocaleString']",
    message: "Numbers are written by the reader's locale: formatNumber and its kin.",
  },
  {
    selector: "NewExpression[callee.object.name='Intl'][arguments.0.type='Literal']",
    message: "Figures are written by the reader's locale, never by a fixed one.",
  },
];
/** Nothing of the core outlives a call: what is remembered belongs to whoever plans (measure/memory.ts). Tables that are made once at load are no state. */
const ABOUT_STATE = [
  { selector: 'Program > VariableDeclaration[kind=let]', message: 'No module keeps state: remember it in a stage.' },
  {
    selector:
      ':matches(Program > VariableDeclaration, Program > ExportNamedDeclaration > VariableDeclaration) > VariableDeclarator > NewExpression[callee.name=/^(Map|Set|WeakMap|WeakSet|WeakRef|Memory)$/][arguments.length=0]',
    message: 'No module keeps state: what is filled later is remembered in a stage.',
  },
  {
    selector:
      ':matches(Program > VariableDeclaration, Program > ExportNamedDeclaration > VariableDeclaration) > VariableDeclarator > :matches(ArrayExpression[elements.length=0], ObjectExpression[properties.length=0])',
    message: 'No module keeps state: what is filled later is remembered in a stage.',
  },
];
const ONLY_IN_WORDS = {
  selector: "CallExpression[callee.property.name='toFixed']",
  message: "What a person reads is written by the reader's locale: formatNumber.",
};

export default ts.config(
  { ignores: ['**/dist/', '**/node_modules/', 'e2e/results/'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...ts.configs.stylistic,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser } },
  },
  {
    rules: {
      // TypeScript itself knows every global.
      'no-undef': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
    },
  },
  {
    files: ['{core,web,server,cli}/src/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts', '**/testing/**', 'core/src/measure/**'],
    rules: {
      'no-restricted-syntax': ['error', ...ABOUT_WORDS],
      'vue/no-restricted-syntax': ['error', ...ABOUT_WORDS],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/testing/**', '**/words.ts'],
    rules: { 'no-restricted-syntax': ['error', ...ABOUT_WORDS, ...ABOUT_STATE] },
  },
  {
    files: ['core/src/measure/**/*.ts'],
    rules: { 'no-restricted-syntax': ['error', ...ABOUT_STATE] },
  },
  {
    files: ['{core,web,server,cli}/src/**/words.ts', 'web/src/features/**/*.vue'],
    rules: {
      'no-restricted-syntax': ['error', ...ABOUT_WORDS, ONLY_IN_WORDS],
      'vue/no-restricted-syntax': ['error', ...ABOUT_WORDS, ONLY_IN_WORDS],
    },
  },
  { files: ['scripts/**', '**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  prettier,
);
