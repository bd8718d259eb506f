import { defineConfig } from 'vitest/config'

export default defineConfig({ test: { include: ['resources/app/**/*.test.ts'] } })
