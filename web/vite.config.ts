import vue from '@vitejs/plugin-vue';
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers';
import Components from 'unplugin-vue-components/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [
    vue(),
    Components({
      dirs: [],
      dts: 'src/components.d.ts',
      // Style sheets of single components cannot be loaded where the tests run.
      resolvers: [ElementPlusResolver({ importStyle: process.env['VITEST'] ? false : 'css' })],
    }),
  ],
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:4600' } },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    modulePreload: { polyfill: false },
    rollupOptions: {
      output: {
        // The table of accepted forms is for the help alone.
        manualChunks: (id) => (id.endsWith('/accepted-forms.ts') ? 'accepted-forms' : undefined),
      },
    },
  },
});
