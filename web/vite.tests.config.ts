import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

// One script, for tests only: see tests/bundle.tsx. Nothing of it ships.
export default defineConfig({
  plugins: [react()],
  define: { 'process.env.NODE_ENV': '"production"' },
  build: {
    outDir: 'target/tests',
    lib: { entry: 'tests/bundle.tsx', formats: ['iife'], name: 'bundle', fileName: () => 'bundle.js' },
  },
})
