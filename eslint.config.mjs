import { readdirSync } from 'node:fs'
import js from '@eslint/js'
import globals from 'globals'
import pluginVue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'
import { inTheBook } from './scripts/lint/in-the-book.mjs'
import { ofRoot } from './scripts/lint/of-root.mjs'
import { oneLetter } from './scripts/lint/one-letter.mjs'

/**
 * Which way imports run: web and server stand on core, core stands on nothing of ours. Inside core each layer
 * may use the ones before it. A restricted import in a layer names what lies above it.
 */
const layers = [
  ['units', 'sources', 'schema'],
  ['sizes', 'conditions', 'space'],
  ['bench'],
  ['methods'],
  ['words'],
  ['log'],
  ['parts'],
  ['joint'],
  ['line'],
  ['cut', 'store', 'start', 'upkeep'],
  ['prove/verdict'],
  ['prove/test-plan'],
  ['prove/test-run'],
  ['prove/certificate'],
  ['plan'],
  ['practice'],
  ['calc', 'handbook'],
]
/** A folder that stands in no layer would be held to nothing. */
const core = new URL('core/src/', import.meta.url)
for (const folder of readdirSync(core, { withFileTypes: true }))
  if (folder.isDirectory() && !layers.flat().some((layer) => layer.split('/')[0] === folder.name))
    throw new Error(`core/src/${folder.name} stands in no layer of eslint.config.mjs`)

/** A layer as its neighbours and those from another folder name it. */
const namedFrom = (layer) => {
  const [outer, inner] = layer.split('/')
  const far = inner ? [`../${inner}/*`, `../../${inner}/*`] : []
  return [...far, ...['../', '../../', '../../../'].map((up) => `${up}${outer}/${inner ? `${inner}/` : ''}*`)]
}
const platform = [
  'vue',
  'vue-*',
  'express',
  'express-*',
  'drizzle-orm',
  'drizzle-orm/*',
  'pg',
  'node:*',
  'fs',
  'path',
  'crypto',
]
const ours = ['@jugalis/*', '**/server/**', '**/web/**', '**/demo/**']
const coreLayerRules = layers.map((names, i) => ({
  files: names.map((n) => `core/src/${n}/**/*.ts`),
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { group: [...platform, ...ours], message: 'core is pure: no platform, nothing of ours above it' },
          ...(layers.slice(i + 1).flat().length
            ? [
                {
                  group: layers
                    .slice(i + 1)
                    .flat()
                    .flatMap(namedFrom),
                  message: 'this layer of core may not use a later one',
                },
              ]
            : []),
        ],
      },
    ],
  },
}))

const spreadLiteral = {
  selector: 'SpreadElement > :matches(ObjectExpression, ArrayExpression)',
  message: 'a literal is written out, not spread',
}

/** A unit after a figure, or as the end of a label. */
const UNITS = '(bar|mm|m|psi|°C|°F|Nm|kg|lb|K|l)'
const UNIT_TEXT = `^\\s${UNITS}(\\s|[.,;:)]|$)|, ${UNITS}$`

export default [
  {
    ignores: ['**/dist/**', '**/node_modules/**', '.jugalis/**', 'web/components.d.ts', '**/test-results/**'],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...pluginVue.configs['flat/essential'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
  { files: ['web/**'], languageOptions: { globals: globals.browser } },
  { files: ['scripts/**', 'server/**', 'e2e/**', '*.mjs'], languageOptions: { globals: globals.node } },
  { files: ['core/test/**', 'server/test/**', 'web/test/**'], languageOptions: { globals: globals.jest } },
  {
    rules: {
      // One idea a file.
      'max-lines': ['error', 300],
      'no-restricted-syntax': ['error', spreadLiteral],
      'vue/multi-word-component-names': 'off',
      '@typescript-eslint/no-explicit-any': 'error',
      // The books of words and sources grow by declarations that add the names of one list each.
      '@typescript-eslint/no-empty-object-type': ['error', { allowInterfaces: 'with-single-extends' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-undef': 'off',
    },
  },
  {
    // What ships, and what starts it. Tests and benches are told from top to bottom.
    files: ['core/src/**', 'web/src/**', 'server/src/**', 'demo/**', 'scripts/*.mjs', 'scripts/lib/**'],
    ignores: ['scripts/bench*.mjs'],
    plugins: { names: { rules: { 'one-letter': oneLetter } } },
    rules: {
      'names/one-letter': 'error',
      'max-lines-per-function': ['error', { max: 60, skipComments: true, skipBlankLines: true, IIFEs: true }],
    },
  },
  {
    files: ['web/src/**'],
    ignores: ['web/src/base.ts'],
    plugins: { base: { rules: { 'of-root': ofRoot } } },
    rules: { 'base/of-root': 'error' },
  },
  {
    files: ['core/src/**', 'web/src/**', 'server/src/**'],
    rules: {
      // Each value of a spread list is an argument: some hundred thousand of them end the program.
      'no-restricted-syntax': [
        'error',
        spreadLiteral,
        {
          selector: 'CallExpression[callee.object.name="Math"] > SpreadElement',
          message: 'a list of any length: greatest() or smallest() of core/units/extent',
        },
        {
          selector:
            'CallExpression[callee.property.name=/^(push|unshift|splice|fromCharCode|apply)$/] > SpreadElement',
          message: 'a list of any length: append() of core/units/extent',
        },
        {
          selector: 'ConditionalExpression > ConditionalExpression > ConditionalExpression',
          message: 'three questions in one expression: a function with early returns, or a table',
        },
      ],
    },
  },
  ...coreLayerRules,
  {
    files: ['e2e/**/*.ts', '**/test/**/*.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        spreadLiteral,
        {
          selector: 'CallExpression[callee.property.name="waitForTimeout"]',
          message:
            'a fixed wait is too short on a busy machine and too long on a quick one: wait for what is to come',
        },
        {
          selector:
            'NewExpression[callee.name="Promise"] CallExpression[callee.name="setTimeout"][arguments.1.value>50]',
          message:
            'a fixed wait is too short on a busy machine and too long on a quick one: wait for what is to come',
        },
      ],
    },
  },
  {
    files: ['web/src/**/*.vue'],
    rules: {
      // A list that is attached to the body opens underneath a modal sheet, and nobody can choose from it with a mouse.
      'vue/no-restricted-syntax': [
        'error',
        {
          selector: 'ConditionalExpression > ConditionalExpression > ConditionalExpression',
          message: 'three questions in one expression: a function with early returns, or a table',
        },
        {
          selector: 'VElement[rawName="ElSelect"]:not(:has(VAttribute[key.argument.name="teleported"]))',
          message: 'a list stays where it is: :teleported="false"',
        },
        ...['VText', 'VLiteral', 'Literal', 'VExpressionContainer Literal'].map((node) => ({
          selector: `${node}[value=/${UNIT_TEXT}/]`,
          message: 'unit text: quantities are typed in QuantityField and printed by fmt of core/units',
        })),
        ...['TemplateElement', 'VExpressionContainer TemplateElement'].map((node) => ({
          selector: `${node}[value.raw=/${UNIT_TEXT}/]`,
          message: 'unit text: quantities are printed by fmt of core/units',
        })),
      ],
    },
  },
  {
    files: ['web/src/**/*.{ts,vue}', 'server/src/**/*.ts'],
    ignores: [
      // What the log of the server's own machine and the described interface say is for those who run and call it.
      'server/src/main.ts',
      'server/src/described/**',
      'server/src/routes/docs.ts',
      'server/src/live/stream.ts',
      'server/src/db/connect.ts',
      'server/src/words.ts',
      'web/src/words/**',
      'web/src/tapes/glyph-shapes.ts',
      'web/src/paper/svg-sheet.ts',
      'web/src/paper/tags.ts',
    ],
    plugins: { jugalis: { rules: { 'in-the-book': inTheBook } } },
    rules: { 'jugalis/in-the-book': 'error' },
  },
  {
    files: ['web/src/**'],
    ignores: ['web/src/stored.ts'],
    rules: {
      // A store may be full, closed or broken: that is caught in one place.
      'no-restricted-globals': ['error', 'localStorage', 'sessionStorage'],
    },
  },
  {
    files: ['web/src/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/server/**', '@jugalis/server', 'node:*', 'pg', 'express'],
              message: 'web never reaches into the server',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['server/src/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['**/web/**', '@jugalis/web', 'vue'], message: 'the server never reaches into web' },
          ],
        },
      ],
    },
  },
]
