import js from '@eslint/js'
import globals from 'globals'
import hooks from 'eslint-plugin-react-hooks'
import ts from 'typescript-eslint'

/** What differs from pattern to pattern stands in its record: core/patterns/rules, messages/patternWords, layout/patternParts. */
const PATTERN = 'Literal[value=/^(battens|grid|boxes|slats|rails)$/]'
const perPattern = ['BinaryExpression[operator=/^[!=]==?$/] > ', 'SwitchCase > '].map((where) => ({
  selector: where + PATTERN,
  message: 'A pattern is told from another only by its record: add what you need to know to rulesOf(...).',
}))

export default ts.config(
  { ignores: ['build', 'node_modules', '.react-router', 'data', 'test-results', '.stryker-tmp', 'reports'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  { languageOptions: { globals: { ...globals.node } } },
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      'max-lines': ['error', 350],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  {
    files: ['**/*.js'],
    rules: { '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_' }] },
  },
  {
    files: ['app/**/*.{ts,tsx}'],
    ignores: ['app/**/*.test.{ts,tsx}'],
    rules: { 'no-restricted-syntax': ['error', ...perPattern] },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
)
