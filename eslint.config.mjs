import next from 'eslint-config-next/core-web-vitals'
import tseslint from 'typescript-eslint'

export default tseslint.config(
  {
    ignores: [
      '.next/**',
      '.cache/**',
      'node_modules/**',
      'next-env.d.ts',
      'scripts/project.d.mts',
      'bench/empty-app/.next/**',
      'test-results/**',
      'playwright-report/**',
    ],
  },
  ...next,
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [...tseslint.configs.strictTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      eqeqeq: 'error',
      // Stores and forms hand out functions that use no `this`.
      '@typescript-eslint/unbound-method': 'off',
      'react/no-unescaped-entities': 'off',
    },
  },
  {
    // Tests are typed by the compiler; rules that ask for types again would double the time of this step.
    files: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**'],
    extends: [tseslint.configs.disableTypeChecked],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
)
