import tailwind from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import icons from 'unplugin-icons/vite'
import { defineConfig } from 'vite'

export default defineConfig({
  // White space between words that stand on two lines of a template is kept as one space.
  plugins: [
    vue({ template: { compilerOptions: { whitespace: 'preserve' } } }),
    tailwind(),
    icons({ compiler: 'vue3' }),
  ],
  worker: { format: 'es' },
  build: { target: 'es2022', sourcemap: false },
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:4680' } },
})
