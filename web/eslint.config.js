import boundaries from 'eslint-plugin-boundaries'
import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

// The order of the rooms: a room imports only from rooms before it, from ui and from api.
const rooms = [
  'household',
  'joining',
  'notes',
  'herbarium',
  'identification',
  'field',
  'drying',
  'shelf',
  'making',
  'dosing',
  'tracing',
  'calendar',
  'planning',
  'archive',
  'search',
]

export default tseslint.config(
  { ignores: ['src/api/schema.d.ts'] },
  ...tseslint.configs.strict,
  {
    plugins: { 'react-hooks': hooks, boundaries },
    settings: {
      'boundaries/elements': [
        { type: 'api', pattern: 'src/api' },
        { type: 'ui', pattern: 'src/ui' },
        ...rooms.map((room) => ({ type: room, pattern: `src/${room}` })),
        { type: 'app', pattern: 'src/app' },
      ],
      'import/resolver': { node: { extensions: ['.ts', '.tsx'] } },
    },
    rules: {
      ...hooks.configs.recommended.rules,
      '@typescript-eslint/no-explicit-any': 'error',
      'boundaries/element-types': [
        'error',
        {
          default: 'disallow',
          rules: [
            { from: 'api', allow: ['api'] },
            { from: 'ui', allow: ['api', 'ui'] },
            ...rooms.map((room, i) => ({ from: room, allow: ['api', 'ui', room, ...rooms.slice(0, i)] })),
            { from: 'app', allow: ['api', 'ui', 'app', ...rooms] },
          ],
        },
      ],
      // What a command makes old is said where it is made: see ui/command.
      'no-restricted-imports': [
        'error',
        { paths: [{ name: '@tanstack/react-query', importNames: ['useMutation'], message: 'useCommand' }] },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "MemberExpression[property.name='invalidateQueries']",
          message: 'useCommand or useRenew',
        },
      ],
      'max-lines-per-function': ['error', { max: 120 }],
    },
  },
  {
    // The whole house is read anew where somebody else signs in, time is turned, or the line comes back.
    files: ['src/ui/command.ts', 'src/app/**', 'src/main.tsx'],
    rules: { 'no-restricted-imports': 'off', 'no-restricted-syntax': 'off' },
  },
)
