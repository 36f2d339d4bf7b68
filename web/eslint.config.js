import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['dist', 'target', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.strict,
  hooks.configs.flat.recommended,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      'no-restricted-syntax': ['error', 'TSEnumDeclaration', 'ExportDefaultDeclaration'],
    },
  },
  { files: ['*.config.{js,ts}'], rules: { 'no-restricted-syntax': 'off' } },
);
