import vue from '@vitejs/plugin-vue'
import icons from 'unplugin-icons/vite'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', root: 'core', include: ['test/**/*.test.ts'] } },
      {
        test: {
          name: 'server',
          root: 'server',
          include: ['test/**/*.test.ts'],
          fileParallelism: false,
          testTimeout: 20000,
          hookTimeout: 60000,
        },
      },
      {
        plugins: [
          vue({ template: { compilerOptions: { whitespace: 'preserve' } } }),
          icons({ compiler: 'vue3' }),
        ],
        test: { name: 'web', root: 'web', include: ['test/**/*.test.ts'], environment: 'happy-dom' },
      },
    ],
  },
})
