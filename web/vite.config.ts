import vue from '@vitejs/plugin-vue';
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers';
import Components from 'unplugin-vue-components/vite';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

/** What the lines of a job wait for. */
const LINES_FIRST = /\/(dexie-store|job-server|SlatePanel)\.(ts|vue)$/;

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
      const chunks = Object.values(bundle ?? {}).filter((one) => one.type === 'chunk');
      const lines = chunks.filter(({ name }) => name === 'lines');
      const scripts = new Set(lines.flatMap(({ fileName, imports }) => [fileName, ...imports]));
      const styles = new Set(lines.flatMap(({ viteMetadata }) => [...(viteMetadata?.importedCss ?? [])]));
      const link = (file, rel) => ({
        tag: 'link',
        attrs: { rel, crossorigin: true, href: `/${file}`, 'data-behind': true },
        injectTo: 'head',
      });
      return [
        ...[...styles].map((file) => link(file, 'stylesheet')),
        ...[...scripts].filter((file) => !html.includes(file)).map((file) => link(file, 'modulepreload')),
      ];
    },
  },
};

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
          { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' },
          // Cut to a circle or a drop by the system: all of the mark is in its middle.
          { src: '/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
        shortcuts: [
          { name: 'Bench', url: '/', icons: [{ src: '/icon-192.png', sizes: '192x192', type: 'image/png' }] },
          { name: 'Jobs', url: '/jobs', icons: [{ src: '/icon-192.png', sizes: '192x192', type: 'image/png' }] },
        ],
        // A size that is shared from a message stands in the entry.
        share_target: { action: '/shared', method: 'GET', params: { title: 'title', text: 'text' } },
        // A job file that is opened with the installed application comes into the room of the jobs.
        file_handlers: [{ action: '/jobs', accept: { 'application/json': ['.json'] } }],
        launch_handler: { client_mode: 'navigate-existing' },
      },
      workbox: {
        // The older form of a font is what PDFs are written with.
        globPatterns: ['**/*.{js,css,html,woff2,svg,png}', '**/{barlow-latin*-{500,600},dejavu-sans}*.woff'],
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
        codeSplitting: {
          groups: [
            // The table of accepted forms is for the help alone, what is said about words for it and for suggestions.
            { name: 'accepted-forms', test: /\/accepted-forms\.ts$/, priority: 3 },
            { name: 'about', test: /\/(unit|function)-about\.ts$/, priority: 3 },
            // The first screen comes in three files: each file costs a round of headers, and there are six ways to the
            // server. Packages and the core change less often than the rest and stay in the browser's memory.
            { name: 'packages', test: /\/node_modules\/|rolldown\/runtime/, tags: ['$initial'], priority: 2 },
            { name: 'core', test: /\/core\/src\//, tags: ['$initial'], priority: 2 },
            { name: 'first', tags: ['$initial'], priority: 1 },
            // And what the lines wait for in one more, with all that it stands on.
            { name: 'lines', test: LINES_FIRST },
          ],
        },
      },
    },
  },
});
