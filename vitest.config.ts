import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  define: { __SHAPES__: JSON.stringify('these') },
  test: {
    environment: 'jsdom',
    setupFiles: ['tests/pages/setup.ts'],
    include: ['resources/js/**/*.test.{ts,tsx}'],
    // A busy machine is slow, not wrong.
    testTimeout: 60_000,
  },
});
