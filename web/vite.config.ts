import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig, type Plugin } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

/**
 * Each field of the component library looks for a form around itself, and with it came all forms and the rules of their
 * entries. The one file it asks for is asked for by its own path: it is the same file, where forms are used or not.
 */
const fieldsWithoutForms: Plugin = {
  name: 'fields-without-forms',
  enforce: 'pre',
  resolveId(source, importer) {
    if (source !== '@rc-component/form' || importer?.endsWith('/antd/es/form/context.js') !== true) return null;
    return this.resolve('@rc-component/form/es/FormContext', importer, { skipSelf: true });
  },
};

export default defineConfig({
  plugins: [
    react(),
    fieldsWithoutForms,
    // Squeezed once, as hard as it goes, when it is built: the server hands the small files out as they lie there.
    compression({ algorithms: ['brotliCompress', 'gzip'], include: /\.(js|css|svg)$/ }),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src/offline',
      filename: 'service-worker.ts',
      injectRegister: false,
      registerType: 'prompt',
      includeAssets: [],
      injectManifest: { globPatterns: ['**/*.{js,css,html,svg,png,woff2}'] },
      manifest: {
        // A page shared from another program is read as a recipe.
        share_target: { action: '/recipe', method: 'GET', params: { title: 'title', text: 'text', url: 'url' } },
        id: '/',
        name: 'Hervir',
        short_name: 'Hervir',
        description: 'Braising tough cuts under pressure: minutes, odds, and when to begin.',
        start_url: '/',
        display: 'standalone',
        background_color: '#F4EFE4',
        theme_color: '#1C2C40',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
        screenshots: [
          { src: '/screenshot-wide.png', sizes: '1280x800', type: 'image/png', form_factor: 'wide', label: 'Tonight' },
          {
            src: '/screenshot-phone.png',
            sizes: '390x844',
            type: 'image/png',
            form_factor: 'narrow',
            label: 'At the pot',
          },
        ],
        shortcuts: [{ name: 'At the pot', url: '/cook' }],
      },
    }),
  ],
  resolve: {
    conditions: ['hervir-source', ...defaultClientConditions],
    // Messages come parsed: the formatter's own way of being built without its parser.
    alias: [
      {
        find: /^@formatjs\/icu-messageformat-parser$/,
        replacement: '@formatjs/icu-messageformat-parser/no-parser.js',
      },
    ],
  },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    sourcemap: false,
    chunkSizeWarningLimit: 1100,
    // The first room comes in one piece: a hundred small files are squeezed worse, and each is a request.
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'first', tags: ['$initial'] }] } } },
  },
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:4780' } },
});
