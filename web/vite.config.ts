import babel from '@rolldown/plugin-babel';
import tailwindcss from '@tailwindcss/vite';
import react, { reactCompilerPreset } from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

const server = 'http://localhost:8080';

export default defineConfig({
  plugins: [react(), babel({ presets: [reactCompilerPreset()] }), tailwindcss()],
  build: { sourcemap: false, chunkSizeWarningLimit: 900 },
  test: { isolate: false, setupFiles: 'src/testing/cleanUp.ts' },
  server: { proxy: { '/api': server, '/client-fonts': server, '/hosted': server } },
});
