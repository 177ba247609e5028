import vue from '@vitejs/plugin-vue'
import icons from 'unplugin-icons/vite'
import { defineConfig } from 'vitest/config'

// What is drawn is the same in every run, so that a change is judged by itself; `./lea bench properties` draws anew.
// The same draws each time find no more the more often they are drawn; the bench takes the hundred that are usual, of other seeds.
const draws = {
  seed: Number(process.env['LEA_SEED'] ?? 20261126),
  draws: Number(process.env['LEA_DRAWS'] ?? 30),
}

export default defineConfig({
  test: {
    // Both cores: by itself it leaves one idle.
    maxWorkers: 2,
    projects: [
      // Limits for what never comes, not measures of speed: drawn plans take as long as they take, and a busy machine is no failure.
      {
        test: {
          name: 'core',
          root: 'core',
          provide: draws,
          setupFiles: ['test/draws.ts'],
          include: ['test/**/*.test.ts'],
          testTimeout: 300_000,
          // Core is pure: its modules are read in once for many files.
          isolate: false,
        },
      },
      {
        test: {
          name: 'server',
          root: 'server',
          provide: draws,
          setupFiles: ['../core/test/draws.ts'],
          include: ['test/**/*.test.ts'],
          // One file after another: some ask who waits for whom, and lint and types go beside them.
          fileParallelism: false,
          // Each file has a house and a database of its own; the modules are read in once.
          isolate: false,
          testTimeout: 120_000,
          hookTimeout: 120_000,
        },
      },
      {
        plugins: [
          vue({ template: { compilerOptions: { whitespace: 'preserve' } } }),
          icons({ compiler: 'vue3' }),
        ],
        test: {
          name: 'web',
          root: 'web',
          provide: draws,
          setupFiles: ['../core/test/draws.ts'],
          include: ['test/**/*.test.ts'],
          environment: 'happy-dom',
          testTimeout: 120_000,
        },
      },
    ],
  },
})
