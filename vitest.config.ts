import vue from '@vitejs/plugin-vue'
import icons from 'unplugin-icons/vite'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    // Both cores: by itself it leaves one idle.
    maxWorkers: 2,
    projects: [
      // Drawn plans take as long as they take: a slow machine is no failure.
      {
        test: {
          name: 'core',
          root: 'core',
          include: ['test/**/*.test.ts'],
          testTimeout: 60000,
          // Core is pure: its modules are read in once for many files.
          isolate: false,
        },
      },
      {
        test: {
          name: 'server',
          root: 'server',
          include: ['test/**/*.test.ts'],
          fileParallelism: false,
          // Each file has a house of its own; the modules are read in once.
          isolate: false,
          testTimeout: 20000,
          hookTimeout: 60000,
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
          include: ['test/**/*.test.ts'],
          environment: 'happy-dom',
          testTimeout: 30000,
        },
      },
    ],
  },
})
