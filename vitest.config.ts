import { defineConfig } from 'vitest/config';

export default defineConfig({ test: { include: ['resources/ui/**/*.test.{ts,tsx}'] } });
