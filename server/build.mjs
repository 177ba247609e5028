/** Builds the programs of the server. What serves takes its packages in: a start then reads a few files, not a thousand. */
import { readFile, rm, writeFile } from 'node:fs/promises'
import { build } from 'esbuild'

/** A table as JSON is read twice as quickly as the same as a program. */
const tablesAsJson = {
  name: 'tables-as-json',
  setup: ({ onLoad }) =>
    onLoad({ filter: /core\/data\/.*\.json$/ }, async ({ path }) => ({
      contents: `export default JSON.parse(${JSON.stringify(JSON.stringify(JSON.parse(await readFile(path, 'utf8'))))})`,
      loader: 'js',
    })),
}
const packagesStayOutside = {
  name: 'packages-stay-outside',
  setup: ({ onResolve }) =>
    onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
      kind === 'entry-point' || path.startsWith('@lea/') ? undefined : { path, external: true },
    ),
}
const common = {
  outdir: 'dist',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  // What several programs share is one file, and what is asked for late is read in late.
  splitting: true,
  chunkNames: 'part-[hash]',
  minifyWhitespace: true,
  minifySyntax: true,
  sourcemap: 'linked',
  logLevel: 'warning',
  metafile: true,
}

// Parts of an earlier build would stay for good.
await rm('dist', { recursive: true, force: true })
const built = await Promise.all([
  build({
    ...common,
    entryPoints: {
      main: 'src/main.ts',
      'quiet-worker': 'src/work/quiet-worker.ts',
      'plan-worker': 'src/work/plan-worker.ts',
      'desk-worker': 'src/work/desk-worker.ts',
      'archive-worker': 'src/work/archive-worker.ts',
    },
    // What is not all JavaScript, or looks for files beside itself.
    external: ['@node-rs/argon2', 'pg-native', 'piscina', 'pdfmake', 'fontkit'],
    // Packages of the older kind ask for what an ES module has not.
    banner: {
      js: "import{createRequire as _require}from'node:module';import{fileURLToPath as _path}from'node:url';import{dirname as _folder}from'node:path';const require=_require(import.meta.url),__filename=_path(import.meta.url),__dirname=_folder(__filename);",
    },
    plugins: [tablesAsJson],
  }),
  build({
    ...common,
    entryPoints: {
      password: 'src/operator/password-command.ts',
      setting: 'src/operator/setting-command.ts',
      calc: 'src/calc/main.ts',
      bench: 'src/bench/main.ts',
      'highs-worker': 'src/bench/highs-worker.ts',
      'shelf-thread': 'src/bench/shelf-thread.ts',
    },
    plugins: [packagesStayOutside, tablesAsJson],
  }),
])

/** What each program asks for at run time that is not in it, through the parts it shares: a test holds it against what is installed. */
const outputs = Object.assign({}, ...built.map((b) => b.metafile.outputs))
const outsideOf = (file, seen = new Set()) => {
  if (seen.has(file)) return []
  seen.add(file)
  return (outputs[file]?.imports ?? []).flatMap(({ path, external }) =>
    external ? [path] : outsideOf(path, seen),
  )
}
const outside = Object.fromEntries(
  Object.entries(outputs)
    .filter(([, o]) => o.entryPoint?.startsWith('src/'))
    .map(([file]) => [file.replace(/^dist\/|\.js$/g, ''), [...new Set(outsideOf(file))].sort()]),
)
await writeFile('dist/outside.json', `${JSON.stringify(outside, null, 2)}\n`)
