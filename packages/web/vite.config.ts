import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  worker: { format: 'es' },
  build: { sourcemap: true, target: 'es2022' },
  server: { proxy: { '/api': 'http://localhost:4680' } },
});
