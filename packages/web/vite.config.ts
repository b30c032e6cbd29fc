import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

/**
 * The messages' package writes its styles into the page when it is loaded, which the page's policy
 * forbids; the same styles are imported as a file.
 */
function stylesAsFile(): Plugin {
  return {
    name: 'styles-as-file',
    transform(code, id) {
      if (!id.includes('/sonner/dist/index.mjs')) return undefined;
      const without = code.replace(/__insertCSS\("(?:[^"\\]|\\.)*"\)/, '');
      if (without === code) throw new Error(`${id}: found no styles to take out`);
      return { code: without, map: null };
    },
  };
}

export default defineConfig({
  plugins: [stylesAsFile(), react(), tailwindcss()],
  worker: { format: 'es' },
  build: { target: 'es2022' },
});
