/** Bundles the server and the calculations; node_modules stay outside, core is taken in. */
import { build } from 'esbuild'

await build({
  entryPoints: {
    main: 'src/main.ts',
    'quiet-worker': 'src/work/quiet-worker.ts',
    'plan-worker': 'src/work/plan-worker.ts',
    'desk-worker': 'src/work/desk-worker.ts',
    'archive-worker': 'src/work/archive-worker.ts',
    password: 'src/operator/password-command.ts',
    setting: 'src/operator/setting-command.ts',
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
