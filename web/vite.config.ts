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
        manualChunks: (id) => {
          // The table of accepted forms is for the help alone.
          if (id.endsWith('/accepted-forms.ts')) return 'accepted-forms';
          // What every entry needs of the core comes in one file: each costs a round of headers.
          return /\/core\/src\/(base|number|units|notation|reading|evaluate|slate)\//.test(id) ? 'core' : undefined;
        },
      },
    },
  },
});
