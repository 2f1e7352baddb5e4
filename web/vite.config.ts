import vue from '@vitejs/plugin-vue';
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers';
import Components from 'unplugin-vue-components/vite';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

/** What the lines of a job wait for. */
const LINES_FIRST = /\/(dexie-store|job-server)\.ts$/;

/**
 * Asks for what the lines wait for along with the page, not after its script has run: on a phone each round takes half a
 * second. It is behind the script, which the bench can be used with.
 *
 * @type {import('vite').Plugin}
 */
const linesFirst = {
  name: 'lines-first',
  transformIndexHtml: {
    order: 'post',
    handler: (html, { bundle }) => {
      const chunks = new Map(
        Object.values(bundle ?? {}).flatMap((one) => (one.type === 'chunk' ? [[one.fileName, one]] : [])),
      );
      const wanted = new Set();
      const want = (file) => {
        if (wanted.has(file) || html.includes(file)) return;
        wanted.add(file);
        for (const imported of chunks.get(file)?.imports ?? []) want(imported);
      };
      for (const { fileName, facadeModuleId } of chunks.values())
        if (LINES_FIRST.test(facadeModuleId ?? '')) want(fileName);
      return [...wanted].map((file) => ({
        tag: 'link',
        attrs: { rel: 'modulepreload', crossorigin: true, href: `/${file}`, 'data-behind': true },
        injectTo: 'head',
      }));
    },
  },
};

/** Small parts of the first screen that others share. */
const SMALL_PARTS = new RegExp(
  [
    '/contract/src/(batch-limit|text|position|kinds/registry|kinds/thing|kinds/[a-z-]+/kind|wire/thing-change)\\.ts$',
    '/adapters/(local-memory|request-failure)\\.ts$',
    '/core/src/(messages|(scale|stick)/issues|stick/mark-name|scale/drawing-scale)\\.ts$',
  ].join('|'),
);

export default defineConfig({
  plugins: [
    // Nothing here nor in what it stands on is written with the options of a component.
    vue({ features: { optionsAPI: false } }),
    Components({
      dirs: [],
      dts: 'src/components.d.ts',
      resolvers: [ElementPlusResolver({ importStyle: 'css' })],
    }),
    VitePWA({
      // A new Sprell comes with the next start, never under the hands of somebody who is writing.
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Sprell',
        short_name: 'Sprell',
        description: 'Exact feet-inch and metric reckoning, on site',
        start_url: '/',
        display: 'standalone',
        background_color: '#efe4cf',
        theme_color: '#efe4cf',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,woff2,svg,png}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/outbox/],
        cleanupOutdatedCaches: true,
        importScripts: ['/switch-version.js'],
        globIgnores: ['**/switch-version.js'],
      },
    }),
    linesFirst,
    // Packed here once, as small as it gets; the page itself is made again for each visitor.
    compression({ algorithms: ['brotliCompress', 'gzip'], include: /\.(js|css|svg|json|webmanifest)$/ }),
  ],
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:4600' } },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    // What others wrote that ships with it, fonts too, and how it may be used: shown at /licences.
    license: { fileName: 'licences.json' },
    modulePreload: { polyfill: false },
    rollupOptions: {
      output: {
        manualChunks: (id) => {
          // The table of accepted forms is for the help alone, what is said about words for it and for suggestions.
          if (id.endsWith('/accepted-forms.ts')) return 'accepted-forms';
          if (/\/(unit|function)-about\.ts$/.test(id)) return 'about';
          // What every entry needs of the core comes in one file, with small parts that others share: each file costs a
          // round of headers, and there are six ways to the server.
          if (SMALL_PARTS.test(id)) return 'core';
          return /\/core\/src\/(base|number|units|notation|reading|evaluate|slate)\//.test(id) ? 'core' : undefined;
        },
      },
    },
  },
});
