import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  // The shaper is a WebAssembly module that loads itself when it is imported.
  build: { target: 'esnext', chunkSizeWarningLimit: 1500 },
  worker: { format: 'es' },
  optimizeDeps: { exclude: ['harfbuzzjs'] },
  server: {
    proxy: {
      '/api': 'http://127.0.0.1:4870',
      '/try': 'http://127.0.0.1:4870',
      '/fonts': 'http://127.0.0.1:4870',
    },
  },
});
