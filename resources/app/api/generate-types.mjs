// Writes types/: figure.ts, plan.ts, balance.ts, steps.ts, schedule.ts, armature.ts,
// hand.ts, photo-check.ts, set-plan.ts, kit.ts, flat.ts, number.ts and answers.ts from formats/, so that the screens speak of documents and answers as the
// formats do. Run: npm run types
import { readFileSync, writeFileSync } from 'node:fs'
import { compile } from 'json-schema-to-typescript'

const formats = new URL('../../../formats/', import.meta.url)
const read = (file) => JSON.parse(readFileSync(new URL(file, formats), 'utf8'))

async function write(file, name, schema, from, imports = '') {
  const types = await compile(schema, name, {
    additionalProperties: true,
    unreachableDefinitions: name === 'answers',
    bannerComment: `// Made from formats/${from} by npm run types. Do not edit.\n${imports}`,
    style: { semi: false, singleQuote: true },
  })
  // What only holds the definitions is no type, and no news to any of them.
  const plain = types
    .replace(/export interface Answers \{\}\n/, '')
    .replace(
      /(\n \*)?\n \* This interface was referenced by `Answers`'s JSON-Schema\n \* via the `definition` "\w+"\.(?=\n)/g,
      '',
    )
    .replace(/\/\*\*\n \*\/\n/g, '')
  writeFileSync(new URL(`types/${file}`, import.meta.url), plain)
}

/** What answers say in the figure's own terms, by where that stands in the figure's schema. */
const OF_FIGURE = {
  '': 'Figure',
  '/$defs/detail': 'Detail',
  '/$defs/shape': 'Shape',
  '/$defs/core': 'Core',
  '/$defs/firmness': 'Firmness',
  '/$defs/joinBy': 'JoinBy',
  '/$defs/shape/properties/kind': "Shape['kind']",
  '/$defs/shape/properties/outline/anyOf/0': "Extract<Shape['outline'], string>",
  '/$defs/part/properties/covering/properties/way': "NonNullable<Part['covering']>['way']",
  '/$defs/detail/properties/method': "NonNullable<Detail['method']>",
  '/$defs/detail/properties/role': "NonNullable<Detail['role']>",
  '/properties/school/properties/face': "NonNullable<NonNullable<Figure['school']>['face']>",
}
function inTypes(schema) {
  if (Array.isArray(schema)) return schema.map(inTypes)
  if (typeof schema !== 'object' || schema === null) return schema
  const ref = schema.$ref
  if (ref?.startsWith('impa-plan-1')) return { tsType: 'Plan' }
  if (ref?.startsWith('impa-steps-1')) return { tsType: 'StepsSheet' }
  if (ref?.startsWith('impa-photo-check-1')) return { tsType: 'PhotoFound' }
  if (ref?.startsWith('impa-hand-1')) return { tsType: 'HandSheet' }
  if (ref?.startsWith('impa-kit-1')) return { tsType: 'Kit' }
  if (ref?.startsWith('impa-figure-2')) {
    const tsType = OF_FIGURE[ref.split('#')[1] ?? '']
    if (!tsType) throw new Error(`${ref} has no type here`)
    return { tsType }
  }
  if (ref) return { $ref: ref.replace('#/components/schemas/', '#/$defs/') }
  return Object.fromEntries(Object.entries(schema).map(([key, value]) => [key, inTypes(value)]))
}

await write('figure.ts', 'figure', read('impa-figure-2.schema.json'), 'impa-figure-2.schema.json')
for (const name of [
  'plan',
  'balance',
  'steps',
  'schedule',
  'armature',
  'hand',
  'photo-check',
  'set-plan',
  'kit',
  'flat',
  'number',
])
  await write(`${name}.ts`, name, read(`impa-${name}-1.schema.json`), `impa-${name}-1.schema.json`)
await write(
  'answers.ts',
  'answers',
  { type: 'object', additionalProperties: false, $defs: inTypes(read('impa-http-1.openapi.json').components.schemas) },
  'impa-http-1.openapi.json',
  "import type { Core, Detail, Figure, Firmness, JoinBy, Part, Shape } from './figure'\nimport type { Plan } from './plan'\nimport type { StepsSheet } from './steps'\nimport type { ImpaHand as HandSheet } from './hand'\nimport type { ImpaPhotoCheck as PhotoFound } from './photo-check'\nimport type { ImpaKit as Kit } from './kit'",
)

/** What a path answers in JSON where that is a document of a format of its own. */
const DOCUMENTS = {
  'impa-armature-1.schema.json': "import('./armature').Armature",
  'impa-balance-1.schema.json': "import('./balance').BalanceSheet",
  'impa-booklet-1.schema.json': 'Record<string, unknown>',
  'impa-flat-1.schema.json': "import('./flat').ImpaFlat",
  'impa-number-1.schema.json': "import('./number').NumberCard",
  'impa-plan-1.schema.json': "import('./plan').Plan",
  'impa-schedule-1.schema.json': "import('./schedule').Schedule",
  'impa-set-plan-1.schema.json': "import('./set-plan').ImpaSetPlan",
}
function answer(schema) {
  const of = schema.anyOf ?? schema.oneOf
  if (of) return of.map(answer).join(' | ')
  const name = schema.$ref?.split('/').pop()
  if (name && schema.$ref.startsWith('#')) return `Answers.${name}`
  if (name) return DOCUMENTS[name] ?? fail(`${name} has no type here`)
  return schema.type === 'string' ? 'string' : 'Record<string, unknown>'
}
function fail(why) {
  throw new Error(why)
}

/** By method and path, its places as what stands in them: "GET figures/${number}". */
function key(method, path, parameters) {
  const kind = (name) => {
    const own = parameters.find((p) => p.name === name) ?? fail(`${path} does not say what ${name} is`)
    return '${' + (own.schema.type === 'integer' ? 'number' : 'string') + '}'
  }
  const said = `${method.toUpperCase()} ${path.replace('/api/', '').replace(/\{(\w+)\}/g, (_, name) => kind(name))}`
  return said.includes('${') ? `[route: \`${said}\`]` : `'${said}'`
}
const [routes, files] = [[], []]
for (const [path, methods] of Object.entries(read('impa-http-1.openapi.json').paths))
  for (const [method, { responses, parameters = [] }] of Object.entries(methods)) {
    const said = key(method, path, parameters)
    const content = Object.entries(responses).find(([status]) => status.startsWith('2'))[1].content
    const json = content?.['application/json']
    if (!content || json) routes.push(`  ${said}: ${json ? answer(json.schema) : 'void'}`)
    if (content && Object.keys(content).some((type) => type !== 'application/json')) files.push(`  ${said}: Blob`)
  }
writeFileSync(
  new URL('types/routes.ts', import.meta.url),
  `// Made from formats/impa-http-1.openapi.json by npm run types. Do not edit.
import type * as Answers from './answers'

/** What is answered in JSON, by method and path below /api/. */
export interface Routes {
${routes.join('\n')}
}

/** What is answered as a file. */
export interface Files {
${files.join('\n')}
}
`,
)
