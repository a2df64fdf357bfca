import { aliases } from './scripts/aliases.mjs';
import { serverAdapter } from './scripts/server-adapter.mjs';

/** @type {import('@sveltejs/kit').Config} */
export default {
  kit: {
    adapter: serverAdapter(),
    alias: aliases,
    // The service worker answers every address with one shell: its addresses must not hang on where it stands.
    paths: { relative: false },
    csp: {
      mode: 'auto',
      directives: {
        'default-src': ['self'],
        'img-src': ['self', 'data:', 'blob:'],
        'style-src': ['self', 'unsafe-inline'],
        'object-src': ['none'],
        'frame-ancestors': ['none'],
        'base-uri': ['self'],
        'form-action': ['self']
      }
    },
    typescript: {
      // The folders that the generated configuration would leave out.
      config: (config) => {
        config.include.push('../e2e/**/*.ts', '../bench/**/*.ts', '../*.config.ts');
        return config;
      }
    }
  }
};
