/** Bundles the server and the calculations; node_modules stay outside, core is taken in. */
import { build } from 'esbuild'

await build({
  entryPoints: {
    main: 'src/main.ts',
    'compile-worker': 'src/plan/compile-worker.ts',
    'pdf-worker': 'src/papers/pdf-worker.ts',
    password: 'src/password-command.ts',
    calc: 'src/calc/main.ts',
    bench: 'src/bench/main.ts',
    'highs-worker': 'src/bench/highs-worker.ts',
    'shelf-thread': 'src/bench/shelf-thread.ts',
  },
  outdir: 'dist',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: 'linked',
  logLevel: 'warning',
  plugins: [
    {
      name: 'packages-stay-outside',
      setup: ({ onResolve }) =>
        onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
          kind === 'entry-point' || path.startsWith('@lea/') ? undefined : { path, external: true },
        ),
    },
  ],
})
